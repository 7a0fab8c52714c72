/**
 * Training now: the Floor while people lift, a row for each with the set that comes, logged by the coach for several at once. What is
 * written goes to the log through the card, as from anybody's phone. It may use card.
 */
@NullMarked
package org.yarbel.web.now;

import org.jspecify.annotations.NullMarked;
