/** The made-up shop Lantern Yard. */
@NullMarked
package org.ulnaris.app.demo;

import org.jspecify.annotations.NullMarked;
