/**
 * What a log says of a lifter in one lift. Start at {@link org.yarbel.core.track.Tracker}: it runs over logged sets, each an {@link
 * org.yarbel.core.track.Observation}, and says where it stands; a {@link org.yarbel.core.track.Standing} is kept, goes on from a
 * further day and answers for any later one with an {@link org.yarbel.core.track.Outlook}: the max with its spread, today's max, reps
 * to expect at a load, the chance of a single, and what was {@link org.yarbel.core.track.Learned} of the lifter.
 *
 * <p>Within: a {@code Bank} of four {@code Filter}s over a {@code State} of five numbers, the two elementary {@code Updates}, the curve
 * as {@code Capacity}, every constant in {@code Constants}. The ratio of a variation, speed profiles, second opinions of a rating and
 * missed singles stand beside. It knows of no plan, page or clock.
 */
@org.jspecify.annotations.NullMarked
package org.yarbel.core.track;
