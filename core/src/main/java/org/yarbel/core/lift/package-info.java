/**
 * The lifts a plan can name. {@link org.yarbel.core.lift.Lift} is the catalogue; a lift is named in the notation by its
 * key, one word such as {@code front-squat}. {@link org.yarbel.core.lift.Level} is judged per lift.
 */
@NullMarked
package org.yarbel.core.lift;

import org.jspecify.annotations.NullMarked;
