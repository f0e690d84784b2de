/** What could mend a finding: candidates, each to be proven by working the job out with it. */
@NullMarked
package org.ulnaris.core.fix;

import org.jspecify.annotations.NullMarked;
