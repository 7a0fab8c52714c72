/**
 * Finding anyone and anything by typing, from every page, and the page of keys. Each screen tells what of it can be
 * found, by {@link org.yarbel.web.club.Findable}; nothing uses this package. Start at {@link org.yarbel.web.find.FindController}.
 */
@NullMarked
package org.yarbel.web.find;

import org.jspecify.annotations.NullMarked;
