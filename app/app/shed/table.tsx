export { TablePage as default } from '../../features/shed/table-page';
