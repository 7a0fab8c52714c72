/**
 * Finding anyone and anything by typing, from every page, and the page of keys. It may use every package of a screen for what
 * their things are called; nothing uses it. Start at {@link org.yarbel.web.find.FindController}.
 */
@NullMarked
package org.yarbel.web.find;

import org.jspecify.annotations.NullMarked;

