import type { FromCustomer } from '../api/customer';

/** Does something about the customer’s survey and shows how it stands then. */
export type Act = (work: () => Promise<FromCustomer>) => Promise<void>;
