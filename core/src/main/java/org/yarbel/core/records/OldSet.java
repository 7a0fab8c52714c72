package org.yarbel.core.records;

import java.time.LocalDate;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.effort.Rpe;
import org.yarbel.core.mass.Mass;

/**
 * A set, or several alike, as old records tell them.
 *
 * @param lift as it is called there
 * @param reps 0 for one that was missed
 * @param sets how many alike
 * @param rpe null where none was kept
 * @param easier whether it was rated easier than any rating that is kept
 */
public record OldSet(LocalDate day, String lift, Mass load, int reps, int sets, @Nullable Rpe rpe, boolean easier, String note) {}
