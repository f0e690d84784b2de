package org.ulnaris.app.work;

/** A record of work on a cable: it changes nothing that the cable is worked out from, but somebody was at its job. */
public interface OfCable {
    long cableId();
}
