import { withProcedures } from '../../data/procedures';
import { later } from '../../ui/later';

export default later(() => withProcedures(import('../../features/logbook/pages')).then((m) => m.LogbookPage));
