import { render } from 'preact';
import { App } from './app';
import './style.css';

const root = document.getElementById('root');
if (root) render(<App token={location.hash.slice(1)} />, root);
