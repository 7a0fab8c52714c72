package org.yarbel.web.card;

import java.time.LocalDate;
import org.yarbel.core.call.LowDay;
import org.yarbel.web.lifter.Lifter;

/** Who knows how ready a lifter is before the day is asked about. */
public interface LowDays {
  /** What a card of today is issued with. */
  LowDay of(Lifter lifter);

  /** Whether a coach has made that day easier, or decided that it stays as planned. */
  boolean decided(long lifterId, LocalDate day);
}
