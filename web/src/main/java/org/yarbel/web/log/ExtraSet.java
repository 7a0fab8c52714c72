package org.yarbel.web.log;

import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.effort.Rpe;
import org.yarbel.core.mass.Mass;

/**
 * One set that was done beside what the card asked.
 *
 * @param key made where it was typed, so that one that is sent twice counts once
 * @param line of sets that were told together
 * @param number of the set among them, from 1
 * @param reps good reps; 0 for a miss
 * @param easier rated under 6
 */
public record ExtraSet(UUID key, UUID line, int number, Mass load, int reps, @Nullable Rpe rpe, boolean easier, Said said) {}
