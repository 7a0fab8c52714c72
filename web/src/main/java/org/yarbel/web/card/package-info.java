/**
 * The Card: issued documents, what is lifted from them, and the log; {@link org.yarbel.web.card.CardService} is the
 * entrance.
 */
@NullMarked
package org.yarbel.web.card;

import org.jspecify.annotations.NullMarked;
