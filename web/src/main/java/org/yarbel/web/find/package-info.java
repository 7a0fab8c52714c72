/**
 * Finding anyone and anything by typing, from every page, and the page of keys. Each screen tells what of it can be found, by
 * {@link org.yarbel.web.club.Findable}; nothing uses this package. Start at {@link org.yarbel.web.find.FindController}. Only
 * coaches find; the keys are shown to everybody who is signed in. It may use club.
 */
@NullMarked
package org.yarbel.web.find;

import org.jspecify.annotations.NullMarked;
