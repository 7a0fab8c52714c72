package org.yarbel.web.lifter;

/** Numbers, goals or days of a lifter were written down otherwise, and are kept: whoever plans from them may write anew. */
public record NumbersChanged(long lifterId) {}
