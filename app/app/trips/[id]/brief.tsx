import { withProcedures } from '../../../data/procedures';
import { later } from '../../../ui/later';

export default later(() =>
  withProcedures(import('../../../features/brief/brief-page')).then((m) => m.BriefPage),
);
