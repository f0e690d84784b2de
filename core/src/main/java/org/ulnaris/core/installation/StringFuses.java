package org.ulnaris.core.installation;

/** Whether the strings of a bank are fused one by one. */
public enum StringFuses {
    /** Each string has a fuse of its own. */
    EACH,
    NONE
}
