package org.yarbel.web.log;

/** Somebody marked what is to be seen of a set in its clip, or took a mark off. */
public record SetJudged(long lifterId) {}
