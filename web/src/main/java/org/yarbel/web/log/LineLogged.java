package org.yarbel.web.log;

/** A set of a line was logged, corrected or taken back, and is kept: whoever plans from it may write anew. */
public record LineLogged(long slotId) {}
