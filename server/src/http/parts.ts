import type { Pool } from 'pg';
import type { Logger } from 'pino';
import type { Mailer } from '../mail/mailer';
import type { OperatorAddresses } from '../operator/addresses';
import type { Metrics } from '../signals/metrics';
import type { Standing } from './health';

/** What an instance of the application is made of. */
export interface AppParts {
  readonly pool: Pool;
  readonly sessionSecret: string;
  readonly log: Logger;
  readonly metrics: Metrics;
  /** Whether this instance still takes requests; one that is stopping finishes what it has. */
  readonly standing?: Standing;
  /** Where the built web application is; without it only the API is served. */
  readonly webDirectory?: string;
  /** Proxies in front whose forwarded addresses are believed. */
  readonly trustedProxies?: number;
  /** How mail leaves; none, and links are handed over and letters sent by hand. */
  readonly mailer?: Mailer;
  /** Where packs are handed in; none, and they are sent by hand. */
  readonly operators?: OperatorAddresses;
}
