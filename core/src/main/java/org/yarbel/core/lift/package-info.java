/**
 * The lifts a plan can name. {@link org.yarbel.core.lift.Catalogue} is the family tree of
 * {@link org.yarbel.core.lift.Lift}s; a lift is named in the notation by its key, one word such as {@code front-squat}.
 * {@link org.yarbel.core.lift.Level} is judged per lift, with a {@link org.yarbel.core.lift.LevelSuggestion} beside it.
 */
@NullMarked
package org.yarbel.core.lift;

import org.jspecify.annotations.NullMarked;
