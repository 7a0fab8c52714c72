package org.yarbel.web.runway;

import java.time.format.DateTimeFormatter;
import java.util.Locale;
import org.springframework.stereotype.Component;
import org.yarbel.web.lifter.Lifter;
import org.yarbel.web.lifter.LifterRepository;
import org.yarbel.web.who.SignedIn;

/** Refits the plans of many lifters after their contest moved. */
@Component
class RefitWork extends LifterWork {
  static final String KIND = "refit";
  private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMM", Locale.ENGLISH);

  private final Runways runways;

  RefitWork(Runways runways, LifterRepository lifters) {
    super(lifters);
    this.runways = runways;
  }

  @Override
  public String kind() {
    return KIND;
  }

  @Override
  String work(Lifter lifter, String document, SignedIn who) {
    Runways.Situation now = runways.of(lifter);
    if (now.due() == null) {
      return now.wrong() == null ? "It led there already." : now.wrong();
    }
    runways.take(lifter, now.due(), now.contestId(), who);
    return "Refitted from " + DAY.format(now.due().from()) + ".";
  }
}
