export { NotFound as default } from '../features/mishap/broken';
