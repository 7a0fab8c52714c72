package org.yarbel.web.program;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import org.yarbel.core.lift.Catalogue;
import org.yarbel.core.plan.progress.Settings;
import org.yarbel.web.lifter.Lifter;

/** The easy weeks of a lifter: those placed by hand, and a method's own. */
@Component
public class EasyWeeks {
  private static final int LOOKED_BACK = 20;

  private final DeloadWeekRepository deloads;

  EasyWeeks(DeloadWeekRepository deloads) {
    this.deloads = deloads;
  }

  /** The last easy week before a Monday, placed or a method's own; empty when there was none. */
  @Transactional(readOnly = true)
  public Optional<LocalDate> last(Lifter lifter, List<Progression> all, LocalDate before) {
    Optional<LocalDate> placed = deloads.findFirstByLifterIdAndMondayLessThanOrderByMondayDesc(lifter.id(), before).map(DeloadWeek::monday);
    Optional<LocalDate> own = all.stream().map(p -> lastOwn(p, before)).flatMap(Optional::stream).max(Comparator.naturalOrder());
    return placed.isPresent() && own.isPresent() ? Optional.of(placed.get().isAfter(own.get()) ? placed.get() : own.get())
        : placed.or(() -> own);
  }

  private static Optional<LocalDate> lastOwn(Progression progression, LocalDate before) {
    return IntStream.rangeClosed(1, LOOKED_BACK).mapToObj(before::minusWeeks).filter(week -> own(List.of(progression), week)).findFirst();
  }

  /** Whether a week is an easy one of a method's own. */
  public static boolean own(List<Progression> methods, LocalDate monday) {
    return methods.stream().anyMatch(progression -> {
      int week = (int) ChronoUnit.WEEKS.between(progression.startsOn(), monday);
      Settings settings = Settings.check(progression.method(), progression.settings(), Catalogue.standard()).settings();
      return week >= 0 && progression.runsOn(monday) && progression.method().rule().easy(settings, week);
    });
  }
}
