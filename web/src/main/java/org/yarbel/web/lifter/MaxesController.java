package org.yarbel.web.lifter;

import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.yarbel.core.lift.Catalogue;
import org.yarbel.core.lift.Lift;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.track.Estimate;
import org.yarbel.web.club.ClubClock;
import org.yarbel.web.club.Lifts;

/** How the estimated max is made, and what moved when the way was changed. */
@Controller
class MaxesController {
  private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMM yyyy", Locale.ENGLISH);
  private static final Limit MOST = Limit.of(2_000);
  private static final int SHOWN = 60;
  /** Less is no news. */
  private static final double NEWS = 0.005;

  private final LiftNumbersRepository numbers;
  private final LifterRepository lifters;
  private final Lifts lifts;
  private final ClubClock clock;

  MaxesController(LiftNumbersRepository numbers, LifterRepository lifters, Lifts lifts, ClubClock clock) {
    this.numbers = numbers;
    this.lifters = lifters;
    this.lifts = lifts;
    this.clock = clock;
  }

  /** One max that moved. */
  public record Moved(long lifterId, String lifter, String lift, String liftKey, String before, String now, String by, double share) {}

  @GetMapping("/maxes")
  String page(Model model) {
    List<LiftNumbers> changed = numbers.findByBeforeNgIsNotNull(MOST);
    Map<Long, Lifter> own = lifters.findAllById(changed.stream().map(LiftNumbers::lifterId).distinct().toList()).stream()
        .collect(Collectors.toMap(Lifter::id, lifter -> lifter));
    List<Moved> moved = new ArrayList<>();
    changed.forEach(row -> moved(row, own.get(row.lifterId()), lifts.catalogue(), clock.today()).ifPresent(moved::add));
    moved.sort(Comparator.comparingDouble((Moved row) -> -Math.abs(row.share())));
    Optional<LocalDate> on = changed.stream().map(LiftNumbers::beforeOn).max(Comparator.naturalOrder());
    model.addAttribute("title", "The estimated max");
    model.addAttribute("here", "floor");
    model.addAttribute("moved", moved.subList(0, Math.min(moved.size(), SHOWN)));
    model.addAttribute("left", Math.max(moved.size() - SHOWN, 0));
    model.addAttribute("on", on.map(DAY::format).orElse(null));
    return "lifter/maxes";
  }

  private static Optional<Moved> moved(LiftNumbers row, Lifter lifter, Catalogue catalogue, LocalDate today) {
    MassUnit unit = lifter.unit();
    Mass before = row.before(unit);
    Estimate now = row.estimate(unit, today);
    if (before == null || now == null || Math.abs(now.max().ratioTo(before) - 1) < NEWS) {
      return Optional.empty();
    }
    double share = now.max().ratioTo(before) - 1;
    return Optional.of(new Moved(lifter.id(), lifter.name(), catalogue.ofKey(row.lift()).map(Lift::name).orElse(row.lift()), row.lift(),
        before.amountIn(unit, 1).toPlainString(), now.text(unit) + " " + unit,
        String.format(Locale.ROOT, "%+.1f %%", 100 * share), share));
  }
}
