/** The worked job as every feature asks for it, and what tells when it has to be worked out anew. */
@NullMarked
package org.ulnaris.app.work;

import org.jspecify.annotations.NullMarked;
