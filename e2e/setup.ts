/** Before all specs: the databases that their apps begin with. */
import { makeTemplates } from '../bin/demoApp.js';

export default makeTemplates;
