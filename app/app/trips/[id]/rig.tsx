import { later } from '../../../ui/later';
import { withProcedures } from '../../../data/procedures';

export default later(() => withProcedures(import('../../../features/hold/pages')).then((m) => m.RigPage));
