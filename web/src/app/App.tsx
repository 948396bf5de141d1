import { BrowserRouter, Navigate, Route, Routes } from 'react-router';
import { SWRConfig } from 'swr';
import { JobsPage } from '../jobs/JobsPage';
import { Boundary } from './Boundary';
import { GlobalStyle } from './GlobalStyle';
import { Guarded } from './Guarded';
import { lazyPart } from '../kit/lazy-part';
import { SurveyRoute } from '../survey/SurveyRoute';

const InstrumentsPage = lazyPart(() => import('../readings/InstrumentsPage'));
const DiaryPage = lazyPart(() => import('../calendar/DiaryPage'));
const RulesPage = lazyPart(() => import('../firm/rules/RulesPage'));
const FirmPage = lazyPart(() => import('../firm/FirmPage'));
const DevicePage = lazyPart(() => import('../device/DevicePage'));
const SignInPage = lazyPart(() => import('../people/SignInPage'));
const SetUpPage = lazyPart(() => import('../people/SetUpPage'));
const LinkPage = lazyPart(() => import('../people/LinkPage'));
const AccountPage = lazyPart(() => import('../people/AccountPage'));
const OrderPage = lazyPart(() => import('../order/OrderPage'));
const HelpPage = lazyPart(() => import('../help/HelpPage'));
const HistoryPage = lazyPart(() => import('../history/HistoryPage'));

export function App() {
  return (
    <SWRConfig
      value={{ refreshWhenOffline: true, revalidateOnFocus: true, shouldRetryOnError: true, errorRetryInterval: 4000 }}
    >
      <GlobalStyle />
      <Boundary at="">
        <BrowserRouter>
          <Routes>
            <Route path="/sign-in" element={<SignInPage />} />
            <Route path="/set-up" element={<SetUpPage />} />
            <Route path="/link" element={<LinkPage />} />
            <Route element={<Guarded />}>
              <Route path="/" element={<JobsPage />} />
              <Route path="/diary" element={<DiaryPage />} />
              <Route path="/firm/rules" element={<RulesPage />} />
              <Route path="/firm/:section?" element={<FirmPage />} />
              <Route path="/device" element={<DevicePage />} />
              <Route path="/account" element={<AccountPage />} />
              <Route path="/help/:part?" element={<HelpPage />} />
              <Route path="/order" element={<OrderPage />} />
              <Route path="/instruments" element={<InstrumentsPage />} />
              <Route path="/jobs/:jobId/history" element={<HistoryPage />} />
              <Route path="/jobs/:jobId/:station?" element={<SurveyRoute />} />
            </Route>
            <Route path="*" element={<Navigate to="/" replace />} />
          </Routes>
        </BrowserRouter>
      </Boundary>
    </SWRConfig>
  );
}
