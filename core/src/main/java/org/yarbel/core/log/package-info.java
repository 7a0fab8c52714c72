/**
 * What is written down of a session beside loads, reps and ratings, and what may be said of it: the
 * {@link org.yarbel.core.log.CheckIn} before it, the {@link org.yarbel.core.log.Context} of a set, what was worn against what is
 * {@linkplain org.yarbel.core.log.WornFrom normal}, {@linkplain org.yarbel.core.log.Mark marks} of technique, the speed of its reps
 * and how hard the whole session was. It knows lifts and masses; what is made of it is the business of others.
 */
@NullMarked
package org.yarbel.core.log;

import org.jspecify.annotations.NullMarked;
