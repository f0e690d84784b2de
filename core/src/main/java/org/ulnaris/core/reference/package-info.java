/** Published tables shipped as resources, each with source, clause and confidence. */
@NullMarked
package org.ulnaris.core.reference;

import org.jspecify.annotations.NullMarked;
