import { ServerProblem } from '../../api/client';
import { useQuotations, type Quotations } from '../../api/quotations';
import { Waiting } from '../../app/Waiting';
import { Notice } from '../../kit/Notice';
import { useEstimate } from '../../price/use-estimate';
import { useSurvey } from '../../survey/SurveyContext';
import { StationFrame } from '../StationFrame';
import { MakePanel } from './MakePanel';
import { QuotationsPanel } from './QuotationsPanel';

/** The quotation: what is offered, what it says, and what the customer answered. */
export default function QuotationStation() {
  const { job } = useSurvey();
  const { priced } = useEstimate();
  const { data, error, mutate } = useQuotations(job.id);
  const act = async (work: () => Promise<Quotations>): Promise<Quotations> => {
    const made = await work();
    const { token: _token, ...next } = made;
    await mutate(next, false);
    return made;
  };
  const isHidden = priced?.hidden === true || (error instanceof ServerProblem && error.status === 403);
  return (
    <StationFrame
      station="quotation"
      lead="Numbered, dated and in plain words; the customer reads it on a phone and answers there."
    >
      {isHidden ? (
        <Notice kind="note" title="Your firm keeps prices from your role.">
          A supervisor, or whoever sees prices, makes the quotation.
        </Notice>
      ) : (
        <>
          {priced === undefined ? (
            <Waiting what="Opening the price list …" />
          ) : (
            <MakePanel priced={priced} from={data} act={act} />
          )}
          {error !== undefined && data === undefined && (
            <Notice kind="act" title="The quotations could not be opened.">
              They come with the next contact; nothing is lost.
            </Notice>
          )}
          {data && <QuotationsPanel from={data} act={act} />}
        </>
      )}
    </StationFrame>
  );
}
