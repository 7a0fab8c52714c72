/**
 * The work notation: one line of text says what is done in one slot of a session. Start at
 * {@link org.yarbel.core.notation.WorkLine#parse}; {@link org.yarbel.core.notation.Reading} reads a line out in words,
 * {@link org.yarbel.core.notation.Completion} says what can come next while one is typed.
 *
 * <pre>
 * line   = part { ";" part }
 * part   = work { load | rpe | option }           in any order; one load, one rpe, each option at most once
 * work   = n "x" reps | "build" n | "max" n | ("cluster"|"emom"|"negative") n "x" n | "density" n
 *        | ("hold"|"timed") n "x" time | "carry" n "x" dec ("m"|"ft") | "series" dec {"/" dec} unit
 *        | "warm" n "x" n
 * reps   = n | n "-" n | n "+" | "AMRAP"
 * load   = dec ["-" dec] "%" ( "top" | [basis] ["of" lift] ) | dec unit | "bw" ["+" dec unit]
 *        | "-" dec ("%"|unit) ["each"]
 * basis  = "tested" | "est" | "tm" | "goal" | "today"
 * rpe    = "@" half ["-" half]
 * option = ("rest"|"gap"|"in"|"every") time | "tempo" f"-"f"-"f"-"f | "cap" "@" half
 *        | "until" ("@" half | "-" dec "%") | ("chains"|"reverse") dec unit | "bands" dec ">" dec unit
 *        | "at" ("top"|"bottom") | "turns" n
 * time   = n "s" | n ":" two digits (1 s to 60:00)   unit = "kg" | "lb"   f = 0..60 or "X"
 * lift   = letter {letter|digit|"-"}
 * </pre>
 *
 * <p>A {@code -} after reps, a percentage or an RPE begins a drop when its number is followed by {@code %}, {@code kg}
 * or {@code lb}, save in {@code 70-75%}, where both belong to one load; otherwise it ends a range.
 *
 * <p>The tree is sealed. A new kind of work is a new record of {@link org.yarbel.core.notation.Work}, a row of
 * {@link org.yarbel.core.notation.WorkKind}, which says what may stand beside it, and a method in {@code WorkReader}; a
 * new option is a record of {@link org.yarbel.core.notation.Option}, a row of its kinds and a method in {@code Parser}.
 * What a part that is well written still cannot mean stands in {@code PartCheck}. Each node prints itself in normal form,
 * and {@code parse(format(x))} equals {@code x} for every x.
 */
@NullMarked
package org.yarbel.core.notation;

import org.jspecify.annotations.NullMarked;
