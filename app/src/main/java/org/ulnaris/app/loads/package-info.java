/** Loads: a job's equipment, the cases in which it works, the currents that follow. */
@NullMarked
package org.ulnaris.app.loads;

import org.jspecify.annotations.NullMarked;
