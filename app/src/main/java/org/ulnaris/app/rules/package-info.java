/** House rules of the shop and of single jobs. */
@NullMarked
package org.ulnaris.app.rules;

import org.jspecify.annotations.NullMarked;
