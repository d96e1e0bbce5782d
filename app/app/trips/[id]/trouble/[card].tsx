import { withProcedures } from '../../../../data/procedures';
import { later } from '../../../../ui/later';

export default later(() =>
  withProcedures(import('../../../../features/trouble/card-page')).then((m) => m.CardPage),
);
