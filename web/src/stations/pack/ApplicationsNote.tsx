import type { SiteApplications } from '@keen-gauge/core/rules/rules';
import { SITE_APPLICATION_WORDS } from '@keen-gauge/core/rules/terms';
import { Link } from 'react-router';
import { Notice } from '../../kit/Notice';

/** Which packs the operator wants of a building, and whether this is one of them. */
export function ApplicationsNote({ wants, isWhole }: { readonly wants: SiteApplications; readonly isWhole: boolean }) {
  const link = <Link to="/firm/rules">the rules</Link>;
  if (wants === 'ask')
    return (
      <p className="quiet">
        Ask the operator whether it wants one application for the building or one for each supply, and record it in{' '}
        {link}. You can make both here.
      </p>
    );
  const isWanted = (wants === 'one') === isWhole;
  if (isWanted)
    return (
      <p className="quiet">
        By {link} the operator takes {SITE_APPLICATION_WORDS[wants]}.
      </p>
    );
  return (
    <Notice kind="ask" title={`The operator takes ${SITE_APPLICATION_WORDS[wants]}.`}>
      Send it {isWhole ? 'the packs of the supplies' : 'the pack of the whole site'}; keep this one for{' '}
      {isWhole ? 'the site' : 'this customer'}. By {link}.
    </Notice>
  );
}
