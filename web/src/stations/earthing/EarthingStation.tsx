import { SideBySide } from '../../kit/Panel';
import { ReadingsPanel } from '../../readings/ReadingsPanel';
import { useSurvey } from '../../survey/SurveyContext';
import { OneOf } from '../OneOf';
import { StationFrame } from '../StationFrame';
import { ArrangementPanel } from './ArrangementPanel';
import { BondingPanel } from './BondingPanel';
import { ConductorPanel } from './ConductorPanel';
import { OpenPenPanel } from './OpenPenPanel';
import { RcdCoverPanel } from './RcdCoverPanel';

/** Where the earth comes from, how that was recognised, what is bonded, and what a broken PEN conductor would do. */
export default function EarthingStation() {
  const { survey, assessment } = useSurvey();
  const { arrangement } = survey.earthing;
  const known = arrangement !== undefined && arrangement !== 'unknown';
  return (
    <StationFrame
      station="earthing"
      lead="Where the earth comes from. Readings are for a competent person with the right instrument."
    >
      <ArrangementPanel />
      <SideBySide>
        <ReadingsPanel
          kinds={
            arrangement === 'tt'
              ? ['electrode-resistance', 'loop-impedance-external']
              : ['loop-impedance-external', 'prospective-fault-current']
          }
          nodeId={assessment.supply.deviceId ?? undefined}
        />
        <ConductorPanel />
      </SideBySide>
      <RcdCoverPanel />
      <BondingPanel />
      {known &&
        assessment.earthing.openPen.map((way) => (
          <OneOf
            key={way.proposalId}
            id={way.proposalId}
            name={way.label}
            station="earthing"
            of={assessment.earthing.openPen.map(({ proposalId }) => proposalId)}
          >
            <OpenPenPanel way={way} />
          </OneOf>
        ))}
    </StationFrame>
  );
}
