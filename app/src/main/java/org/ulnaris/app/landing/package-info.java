/** Landing: in what order the ends of a job go onto their studs. */
@NullMarked
package org.ulnaris.app.landing;

import org.jspecify.annotations.NullMarked;
