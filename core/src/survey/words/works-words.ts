/** The closed lists of words of the work itself: what cable is fixed to, dug through and drilled, and what goes away. */

/** What a cable or the equipment is fixed to. */
export const SURFACES = ['brick', 'block', 'stone', 'render', 'timber', 'plasterboard', 'cladding', 'steel'] as const;
export type Surface = (typeof SURFACES)[number];
export const SURFACE_NAMES: Readonly<Record<Surface, string>> = {
  brick: 'Brick',
  block: 'Block',
  stone: 'Stone',
  render: 'Render',
  timber: 'Timber',
  plasterboard: 'Plasterboard',
  cladding: 'Cladding',
  steel: 'Steel',
};

/** What holds a cable on its way, where it is not simply clipped. */
export const CONTAINMENTS = ['clips', 'trunking', 'conduit', 'tray', 'duct'] as const;
export type Containment = (typeof CONTAINMENTS)[number];
export const CONTAINMENT_NAMES: Readonly<Record<Containment, string>> = {
  clips: 'Clips or cleats',
  trunking: 'Trunking',
  conduit: 'Conduit',
  tray: 'Tray',
  duct: 'Duct',
};

/** What a trench goes through. */
export const GROUNDS = ['soil', 'gravel', 'paving', 'tarmac', 'concrete'] as const;
export type TrenchGround = (typeof GROUNDS)[number];
export const GROUND_NAMES: Readonly<Record<TrenchGround, string>> = {
  soil: 'Soil or lawn',
  gravel: 'Gravel',
  paving: 'Paving',
  tarmac: 'Tarmac',
  concrete: 'Concrete',
};

/** Who digs: the firm, the customer or their builder, or nobody, since a duct is there. */
export const DIGGERS = ['us', 'customer', 'duct-there'] as const;
export type Digger = (typeof DIGGERS)[number];
export const DIGGER_NAMES: Readonly<Record<Digger, string>> = {
  us: 'We dig',
  customer: 'The customer digs',
  'duct-there': 'A duct is there already',
};

/** What the customer has to live with while the work is done. */
export const DISRUPTIONS = ['furniture', 'floor', 'decoration', 'garden'] as const;
export type Disruption = (typeof DISRUPTIONS)[number];
export const DISRUPTION_NAMES: Readonly<Record<Disruption, string>> = {
  furniture: 'Furniture moved and put back',
  floor: 'Floor lifted and laid again',
  decoration: 'Decoration to make good',
  garden: 'Garden disturbed',
};

/** What becomes of something that is there. Left out, it stays. */
export const LOAD_FATES = ['removed', 'replaced'] as const;
export type LoadFate = (typeof LOAD_FATES)[number];
export const LOAD_FATE_NAMES: Readonly<Record<LoadFate, string>> = {
  removed: 'Removed by this work',
  replaced: 'Replaced by new equipment',
};

/** What was seen of a cable that is to be used again, all the way. */
export const CABLE_LOOKS = ['sound', 'damaged', 'could-not-see'] as const;
export type CableLook = (typeof CABLE_LOOKS)[number];
export const CABLE_LOOK_NAMES: Readonly<Record<CableLook, string>> = {
  sound: 'Sound all the way',
  damaged: 'Damaged',
  'could-not-see': 'Could not see all of it',
};

/** How a charger may be connected to the vehicle. */
export const OUTLETS = ['tethered', 'socket'] as const;
export type Outlet = (typeof OUTLETS)[number];
export const OUTLET_NAMES: Readonly<Record<Outlet, string>> = { tethered: 'Tethered lead', socket: 'Socket' };

/** Ways equipment talks to the network. */
export const TALKS = ['wireless', 'wired', 'own-sim'] as const;
export type Talk = (typeof TALKS)[number];
export const TALK_NAMES: Readonly<Record<Talk, string>> = {
  wireless: 'Wi-Fi',
  wired: 'Network cable',
  'own-sim': 'Own SIM',
};

/** Who times the charging by the tariff. */
export const TARIFF_CONTROLS = ['charger', 'vehicle', 'none'] as const;
export type TariffControl = (typeof TARIFF_CONTROLS)[number];
export const TARIFF_CONTROL_NAMES: Readonly<Record<TariffControl, string>> = {
  charger: 'The charger',
  vehicle: 'The vehicle',
  none: 'Nobody needs to',
};

/** What keeps strangers from charging at a bay the public can reach. */
export const LOCKS = ['none', 'lock', 'card'] as const;
export type Lock = (typeof LOCKS)[number];
export const LOCK_NAMES: Readonly<Record<Lock, string>> = { none: 'None', lock: 'Lock', card: 'Card or app' };

/** Who asks for money help. */
export const APPLICANTS = ['owner', 'tenant', 'landlord', 'business', 'public-body'] as const;
export type Applicant = (typeof APPLICANTS)[number];
export const APPLICANT_NAMES: Readonly<Record<Applicant, string>> = {
  owner: 'Owner who lives there',
  tenant: 'Tenant',
  landlord: 'Landlord',
  business: 'Business',
  'public-body': 'Public body or charity',
};
