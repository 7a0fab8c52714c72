/**
 * The work notation: one line of text says what is done in one slot of a session. Start at
 * {@link org.yarbel.core.notation.WorkLine#parse}.
 *
 * <pre>
 * line   = part { ";" part }
 * part   = work { load | rpe | option }           in any order; one load, one rpe, each option at most once
 * work   = n "x" reps
 * reps   = n | n "-" n | n "+" | "AMRAP"
 * load   = dec ["-" dec] "%" ( "top" | [basis] ["of" lift] ) | dec unit | "bw" ["+" dec unit]
 *        | "-" dec ("%"|unit) ["each"]
 * basis  = "tested" | "est" | "tm" | "goal" | "today"
 * rpe    = "@" half ["-" half]
 * option = "rest" time | "tempo" f"-"f"-"f"-"f | "cap" "@" half
 * time   = n "s" | n ":" two digits (1 s to 60:00)   unit = "kg" | "lb"   f = 0..60 or "X"
 * lift   = letter {letter|digit|"-"}
 * </pre>
 *
 * <p>A {@code -} after reps, a percentage or an RPE begins a drop when its number is followed by {@code %}, {@code kg}
 * or {@code lb}, save in {@code 70-75%}, where both belong to one load; otherwise it ends a range. The tree is sealed:
 * a new kind of work is a new record of {@link org.yarbel.core.notation.Work}, a new option one of
 * {@link org.yarbel.core.notation.Option}, and a method in the parser; each node prints itself in normal form, and
 * {@code parse(format(x))} equals {@code x} for every x.
 */
@NullMarked
package org.yarbel.core.notation;

import org.jspecify.annotations.NullMarked;
