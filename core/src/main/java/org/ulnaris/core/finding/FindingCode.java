package org.ulnaris.core.finding;

/** What was checked. The interface holds the words for each code and verdict. */
public enum FindingCode {
    AMPACITY,
    DROP,
    TERMINAL_TEMPERATURE,
    TABLE_ROW,
    TABLE_COLUMN,
    TABLE_VOLTAGE,
    BARREL_FIT,
    BUNDLE_ENTERS,
    HOLE_FIT,
    CONTACT_AREA,
    PAD_CLEARANCE,
    COMPACTION,
    CRIMP_COUNT,
    DIE_MATERIAL,
    STUD_LENGTH,
    PRELOAD,
    WASHER_PRESSURE,
    SHRINK_FIT,
    SLACK,
    STRIP_LENGTH,
    STRANDS_LOST,
    ACROSS_FLATS,
    CRIMP_GAP,
    PULL_FORCE,
    HOLD_TIME,
    TORQUE,
    WITNESS_MARK,
    CUT_LENGTH
}
