import { OneOf, Text } from './fields';
import { NATIONS, PREMISES, type Nation, type Premises } from './words/words';

/** Where the supply is, whose it is, and which meter point. */
export class Place {
  @Text(200) customerName?: string;
  @Text(40) customerPhone?: string;
  @Text(200) customerEmail?: string;
  @Text(200) addressLine1?: string;
  @Text(200) addressLine2?: string;
  @Text(100) town?: string;
  @Text(12) postcode?: string;
  @OneOf(NATIONS) nation?: Nation;
  @OneOf(PREMISES) premises?: Premises;
  /** As read off the bill or meter; judged by `route/mpan`, kept as typed so that a half-typed number is not lost. */
  @Text(40) meterPointNumber?: string;
  @Text(100) operatorName?: string;
}
