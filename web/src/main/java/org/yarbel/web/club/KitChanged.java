package org.yarbel.web.club;

/** What a place owns was written down otherwise, in the transaction in force: loads of all who train there may move. */
public record KitChanged(long placeId) {}
