/** The job as its picture: equipment and cables as they hang together, their verdicts on them, each changed where it is seen. */
@NullMarked
package org.ulnaris.app.picture;

import org.jspecify.annotations.NullMarked;
