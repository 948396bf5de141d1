import { liveView, type LiveView } from '@keen-gauge/core/link/live';
import { useChargePoints, type ChargePoint } from '../../api/charge-points';
import { useSurvey } from '../../survey/SurveyContext';

/** The charge point linked to a proposal, and what it shows now. */
export interface Live {
  readonly point: ChargePoint;
  readonly view: LiveView;
}

export interface LinkState {
  /** Null where none is linked; undefined while that is not known yet. */
  readonly live: Live | null | undefined;
  readonly refresh: () => void;
  readonly error: Error | undefined;
}

/** Follows the charge point of a proposal for as long as it is on the screen. */
export function useLiveLink(proposalId: string): LinkState {
  const { job } = useSurvey();
  const { data, error, mutate } = useChargePoints(job.id);
  const refresh = (): void => void mutate();
  if (!data) return { live: undefined, refresh, error };
  const point = data.chargePoints.find((each) => each.proposalId === proposalId);
  if (!point) return { live: null, refresh, error };
  const arrived = point.samples.map(({ agoMs, ...sample }) => ({ ...sample, arrivedMs: -agoMs }));
  return { live: { point, view: liveView(arrived, 0) }, refresh, error };
}
