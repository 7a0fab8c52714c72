/**
 * Who asks: {@link org.yarbel.web.who.SignedIn} with their {@link org.yarbel.web.who.Role} and club. It says who may see whose
 * rows and knows nothing of how somebody signs in (that is {@code account}) nor of what the club has: everything may use it.
 */
@NullMarked
package org.yarbel.web.who;

import org.jspecify.annotations.NullMarked;
