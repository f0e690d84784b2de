/** A job's devices, the cables between their terminals and the cases in which they work: solved and sized as one. */
@NullMarked
package org.ulnaris.core.installation;

import org.jspecify.annotations.NullMarked;
