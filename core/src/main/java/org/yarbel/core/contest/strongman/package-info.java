/**
 * A strongman contest: how the results of an event rank ({@link org.yarbel.core.contest.strongman.EventKind}), what points the places
 * bring ({@link org.yarbel.core.contest.strongman.Scoring}), who leads
 * ({@link org.yarbel.core.contest.strongman.Overall}) and what the last events can still bring
 * ({@link org.yarbel.core.contest.strongman.Scenarios}).
 *
 * <p>Start from {@link org.yarbel.core.contest.strongman.Overall}: athletes, events and results in, the table out. All of it is common
 * practice, no source, unless it says otherwise; the rules of a league win, and are data ({@code Scoring}).
 */
@NullMarked
package org.yarbel.core.contest.strongman;

import org.jspecify.annotations.NullMarked;
