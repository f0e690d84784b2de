/** A job worked out: per cable its size, ends, protection and all findings, and one verdict for everything. */
@NullMarked
package org.ulnaris.core.worked;

import org.jspecify.annotations.NullMarked;
