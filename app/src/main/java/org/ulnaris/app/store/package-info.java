/** The file in which a shop is kept: its folder, its disk, its backups. */
@NullMarked
package org.ulnaris.app.store;

import org.jspecify.annotations.NullMarked;
