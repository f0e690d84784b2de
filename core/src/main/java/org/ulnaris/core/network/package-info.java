/** Direct-current networks: elements, their solution, paths, export as a netlist. */
@NullMarked
package org.ulnaris.core.network;

import org.jspecify.annotations.NullMarked;
