package org.yarbel.web.log;

import java.util.UUID;

/** A set of a line was logged, corrected or taken back, and is kept: whoever plans from it may write anew. */
public record LineLogged(UUID line) {}
