/** A job's devices, the cables between their terminals, the cases in which they work, and what its conductors join. */
@NullMarked
package org.ulnaris.core.installation;

import org.jspecify.annotations.NullMarked;
