/**
 * The plan written by methods.
 *
 * <p>A {@link org.yarbel.web.program.Progression} says which method writes a lift of a lifter, from when and on which days;
 * {@link org.yarbel.web.program.Programs} asks the core's rule for each exposure ahead and writes its lines into the week,
 * keeping what a coach edited: {@link org.yarbel.web.program.SoFar} is what they have written and what was logged of it,
 * {@link org.yarbel.web.program.Writing} puts the new lines in their places. What methods, easy weeks and the long plan are
 * set to is undone with the days that came of it ({@link org.yarbel.web.program.Setup}). The screen lists a lifter's methods
 * and easy weeks ({@link org.yarbel.web.program.LifterMethods}) and shows each method in plain words. Only coaches; every
 * lifter is one of the club of who asks. It may use club, contest, journal, lifter, log and plan.
 */
@NullMarked
package org.yarbel.web.program;

import org.jspecify.annotations.NullMarked;
