/**
 * The Card: issued documents, what is lifted from them, and the log; {@link org.yarbel.web.card.CardService} opens cards, {@link
 * org.yarbel.web.card.CardLog} writes down what is lifted from them, {@link org.yarbel.web.card.CardDocument} is what is issued.
 * A document names its lines by their refs and holds no number of a row: it means the same after its line was taken out and put
 * back. {@link org.yarbel.web.card.CardNotes} writes down what is said around the sets, {@link org.yarbel.web.card.TrainingNow} has
 * the next set of everybody who trains. Coaches, and a lifter for their own sessions; another's is not there. It may use club, device,
 * journal, lifter, log, page, plan, session and skyline.
 */
@NullMarked
package org.yarbel.web.card;

import org.jspecify.annotations.NullMarked;
