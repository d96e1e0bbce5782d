import { withProcedures } from '../../data/procedures';
import { later } from '../../ui/later';

export default later(() => withProcedures(import('../../features/practice/pages')).then((m) => m.DrillsPage));
