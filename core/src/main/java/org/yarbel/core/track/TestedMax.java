package org.yarbel.core.track;

import java.time.LocalDate;
import org.yarbel.core.mass.Mass;

/** A tested max: what was lifted and when. */
public record TestedMax(Mass load, LocalDate date) {}
