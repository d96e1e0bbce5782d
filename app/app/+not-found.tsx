export { NotFound as default } from '../features/shell/broken';
