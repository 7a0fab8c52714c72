package org.yarbel.web.session;

/**
 * Something was said of a lifter's session beside its sets: whoever judges it may look anew.
 *
 * @param what a word for it: {@code check-in}, {@code easier}, {@code extra}
 */
public record SessionSaid(long lifterId, String what) {}
