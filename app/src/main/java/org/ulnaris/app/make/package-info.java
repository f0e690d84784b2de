/** Bench: steps, readings, redo, deviation. */
@NullMarked
package org.ulnaris.app.make;

import org.jspecify.annotations.NullMarked;
