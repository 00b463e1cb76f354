import { mount } from 'svelte';
import App from './App.svelte';
import './app.css';
import { theme } from './lib/shell/theme.svelte';

theme.apply();
const target = document.getElementById('app');
if (!target) throw new Error('the page has no element with the id "app"');
mount(App, { target });
