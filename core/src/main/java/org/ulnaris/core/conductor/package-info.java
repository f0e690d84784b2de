/** Conductor sizes, their resistance and geometry. */
@NullMarked
package org.ulnaris.core.conductor;

import org.jspecify.annotations.NullMarked;
