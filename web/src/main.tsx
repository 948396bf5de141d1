import '@fontsource-variable/atkinson-hyperlegible-mono/wght.css';
import '@fontsource-variable/atkinson-hyperlegible-next/wght.css';
import '@fontsource/noto-sans/greek-400.css';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { StyleSheetManager } from 'styled-components';
import { reportUncaught } from './api/report';
import { App } from './app/App';
import { keepApplication } from './offline/worker';
import { keepMediaFresh } from './app/fresh-media';
import { keepLight, storedLight } from './app/lights';

keepLight(storedLight());
keepMediaFresh();
reportUncaught();
keepApplication();

const root = document.getElementById('root');
const nonce = document.querySelector('meta[property="csp-nonce"]')?.getAttribute('content');
if (root)
  createRoot(root).render(
    <StrictMode>
      <StyleSheetManager {...(nonce ? { nonce } : {})}>
        <App />
      </StyleSheetManager>
    </StrictMode>,
  );
