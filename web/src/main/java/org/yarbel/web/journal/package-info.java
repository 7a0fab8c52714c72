/**
 * The one way to write a plan, and the one record of it.
 *
 * <p>Whoever changes a plan says how much of it the change may touch ({@link org.yarbel.web.journal.Scope}) and hands the
 * change to {@link org.yarbel.web.journal.PlanWriter}: it looks at what stands, lets the change be made, puts the sessions in
 * order ({@link org.yarbel.web.journal.Sessions}), has the cards issued anew that lie out already, and keeps what stood before
 * and after as one {@link org.yarbel.web.club.Change}. {@link org.yarbel.web.journal.Undo} takes changes back and does them
 * again, several steps, of a lifter or of a group, and says beforehand what they are; each kind of thing that is changed has
 * one {@link org.yarbel.web.club.Undoing}. Lines are known by their own {@code ref}, so that one which comes back is the same
 * one.
 *
 * <p>What depends on plans but lies above this package takes part through two interfaces: {@link
 * org.yarbel.web.journal.PlanListener} (cards) and {@link org.yarbel.web.journal.MethodSettings} (methods, easy weeks and the
 * long plan). It may use club, lifter, log and plan.
 */
@NullMarked
package org.yarbel.web.journal;

import org.jspecify.annotations.NullMarked;
