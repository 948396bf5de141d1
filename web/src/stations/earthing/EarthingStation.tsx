import { Panel } from '../../kit/Panel';
import { PhotoStrip } from '../../photos/PhotoStrip';
import { ReadingsPanel } from '../../readings/ReadingsPanel';
import { useSurvey } from '../../survey/SurveyContext';
import { BoundChoice, BoundNumber, BoundText } from '../bound';
import { StationFrame } from '../StationFrame';

/** Where the earth comes from, and how that was recognised. */
export function EarthingStation() {
  const { survey, assessment } = useSurvey();
  const { arrangement, zeOhm, electrodeOhm } = survey.earthing;
  return (
    <StationFrame
      station="earthing"
      lead="Where the earth comes from. Readings are for a competent person with the right instrument."
    >
      <Panel aria-label="Earthing arrangement">
        <BoundChoice
          path={['earthing', 'arrangement']}
          label="Arrangement"
          tile="14rem"
          options={[
            { value: 'tn-c-s', label: 'TN-C-S (PME)', note: 'Earth taken from the neutral at the cut-out' },
            { value: 'tn-s', label: 'TN-S', note: 'Earth on the cable’s sheath or armour' },
            { value: 'tt', label: 'TT', note: 'Own electrode, often on overhead lines' },
            { value: 'unknown', label: 'Not known' },
          ]}
        />
        <BoundText path={['earthing', 'recognisedBy']} label="How it was recognised" lines maxLength={500} />
        {/* A figure handed in with the survey rather than taken here; it counts with the readings. */}
        {arrangement !== 'tt' && zeOhm !== undefined && (
          <BoundNumber
            path={['earthing', 'zeOhm']}
            label="Ze as handed in, highest reading"
            unit="Ω"
            least={0}
            most={100000}
          />
        )}
        {arrangement === 'tt' && electrodeOhm !== undefined && (
          <BoundNumber
            path={['earthing', 'electrodeOhm']}
            label="Electrode resistance as handed in, highest reading"
            unit="Ω"
            least={0}
            most={100000}
          />
        )}
        <PhotoStrip subject="earthing" of="Earthing" />
      </Panel>
      <ReadingsPanel
        kinds={arrangement === 'tt' ? ['electrode-resistance'] : ['loop-impedance-external']}
        nodeId={assessment.supply.deviceId ?? undefined}
      />
    </StationFrame>
  );
}
