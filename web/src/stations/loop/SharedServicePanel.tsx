import type { SharedService } from '@keen-gauge/core/intake/shared-service';
import { worstPhase } from '@keen-gauge/core/demand/per-phase';
import { FigureButton, TightFigures } from '../../gauge/FigureButton';
import { Panel } from '../../kit/Panel';
import { useSurvey } from '../../survey/SurveyContext';

/** The arithmetic of a shared service: both properties, what the cable may carry, what is left, and the wait. */
export function SharedServicePanel({ shared }: { readonly shared: SharedService }) {
  const { rules } = useSurvey();
  const [least, most] = rules.unloopMonths.value;
  const left = worstPhase(shared.left);
  return (
    <Panel aria-label="The shared service">
      <h2>{shared.known ? 'Both properties on one service' : 'If it is looped'}</h2>
      <TightFigures
        style={{
          display: 'grid',
          gridTemplateColumns: 'repeat(auto-fit, minmax(min(9rem, 100%), 1fr))',
          gap: '0.4rem',
        }}
      >
        <FigureButton
          name="Next door"
          figure={shared.neighbour}
          under={shared.neighbourAssumed ? 'assumed' : 'entered'}
        />
        <FigureButton name="Together now" figure={worstPhase(shared.before)} colour="var(--now)" />
        <FigureButton name="Together after" figure={worstPhase(shared.after)} colour="var(--added)" />
        <FigureButton name="Service may carry" figure={shared.rating} colour="var(--ink)" />
        <FigureButton name="Left" figure={left} colour={(left.value ?? 0) < 0 ? 'var(--hold)' : 'var(--left)'} />
      </TightFigures>
      <p className="quiet">
        {shared.known
          ? `The operator is asked first, and un-loops it: allow ${least} to ${most} months from the day it is asked. A road or drive may be dug.`
          : `Until it is known, the operator is asked first. If it is looped, un-looping takes ${least} to ${most} months.`}
      </p>
    </Panel>
  );
}
