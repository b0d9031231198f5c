import { seedAll } from './servers';

export default seedAll;
