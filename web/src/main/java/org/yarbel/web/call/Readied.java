package org.yarbel.web.call;

import java.time.LocalDate;
import org.springframework.stereotype.Component;
import org.yarbel.core.call.LowDay;
import org.yarbel.web.card.LowDays;
import org.yarbel.web.lifter.Lifter;

/** How ready a lifter is before the day is asked about, from the same picture the calls are made of. */
@Component
class Readied implements LowDays {
  private final PictureReader pictures;
  private final CallRepository calls;

  Readied(PictureReader pictures, CallRepository calls) {
    this.pictures = pictures;
    this.calls = calls;
  }

  @Override
  public LowDay of(Lifter lifter) {
    return LowDay.of(pictures.read(lifter).picture());
  }

  @Override
  public boolean decided(long lifterId, LocalDate day) {
    return calls.existsByLifterIdAndMatterAndStateIn(lifterId, LowDay.matter(day), CallRow.State.DECIDED);
  }
}
