/**
 * From the log to the next loads: what a coach could decide now, each with its evidence and what it would change.
 *
 * <p>Start at {@link org.yarbel.core.call.CallRules}, which holds one small class a rule and asks them about a {@link
 * org.yarbel.core.call.Picture}: all that is known of one lifter on a day, immutable. A rule answers with {@link
 * org.yarbel.core.call.Call}s: a sentence with this lifter's figures, the facts behind it, how sure it is, and {@link
 * org.yarbel.core.call.Proposal}s, where schools differ several. A proposal is {@link org.yarbel.core.call.Effect}s: lines of
 * the notation, numbers, easy weeks, as a coach would edit them; {@link org.yarbel.core.call.LineChange} says what they come to
 * in loads before anything is taken. Where a figure can be argued about it is a {@link org.yarbel.core.call.CallFigure} that a
 * club can set. Nothing here is ever applied by itself: the coach decides, and local rules and licensed practitioners come first.
 */
@NullMarked
package org.yarbel.core.call;

import org.jspecify.annotations.NullMarked;
