/** One step back: what was changed for many cables at once. */
@NullMarked
package org.ulnaris.app.undo;

import org.jspecify.annotations.NullMarked;
