/**
 * The club, its places with their kit, the clock it lives by, and the binding of every query to the club of who asks
 * ({@link org.yarbel.web.club.CurrentClub}).
 */
@NullMarked
package org.yarbel.web.club;

import org.jspecify.annotations.NullMarked;
