import { withProcedures } from '../../../../data/procedures';
import { later } from '../../../../ui/later';

export default later(() => withProcedures(import('../../../../features/go/run-page')).then((m) => m.RunPage));
