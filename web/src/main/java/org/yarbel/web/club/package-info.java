/**
 * The club, its places with their kit, the clock it lives by, and the binding of every query to the club of who asks ({@link
 * org.yarbel.web.club.CurrentClub}). What changes seldom and every page asks is kept for as long as the club's revision
 * stands. It shows no page.
 */
@NullMarked
package org.yarbel.web.club;

import org.jspecify.annotations.NullMarked;
