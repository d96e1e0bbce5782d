import { withProcedures } from '../../../data/procedures';
import { later } from '../../../ui/later';

export default later(() =>
  withProcedures(import('../../../features/paper/paper-page')).then((m) => m.PaperPage),
);
