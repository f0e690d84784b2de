/** Papers that leave with the job. */
@NullMarked
package org.ulnaris.app.pack;

import org.jspecify.annotations.NullMarked;
