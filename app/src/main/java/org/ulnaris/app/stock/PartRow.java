package org.ulnaris.app.stock;

/** A part that the person entered, as it is kept. */
interface PartRow<T> {
    T part();
}
