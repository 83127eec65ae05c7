/**
 * Imported by threads of heavy work: whoever presses a key comes first. On Linux a thread has a priority of its own;
 * elsewhere it would be the whole server's, and stays as it is.
 */
import { constants, setPriority } from 'node:os'

if (process.platform === 'linux') setPriority(constants.priority.PRIORITY_BELOW_NORMAL)
