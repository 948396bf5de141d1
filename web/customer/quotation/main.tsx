import { render } from 'preact';
import { QuotationApp } from './app';
import '../style.css';
import './quotation.css';

const root = document.getElementById('root');
if (root) render(<QuotationApp token={location.hash.slice(1)} />, root);
