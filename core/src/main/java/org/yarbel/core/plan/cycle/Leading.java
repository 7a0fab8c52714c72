package org.yarbel.core.plan.cycle;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.mass.Refused;

/**
 * Whether a long plan leads to where its contest is, and what has to change in it where it does not: the contest moved, was put
 * off or cancelled, another one comes before it, or the contests on the way are others.
 *
 * @param contestId the contest the plan leads to; null for none
 * @param roles of the contests to come
 * @param fresh the first Monday that may change for a contest on a day; for null where there is none
 */
public record Leading(Macrocycle plan, @Nullable Long contestId, List<Meets.Role> roles, LocalDate today,
    Function<@Nullable LocalDate, LocalDate> fresh) {
  /** What became of a contest. */
  public enum Standing {
    PLANNED,
    POSTPONED,
    CANCELLED
  }

  /**
   * The contest a plan leads to, as it stands.
   *
   * @param day null where it has none
   */
  public record Led(Standing standing, @Nullable LocalDate day) {}

  /**
   * What would have to change.
   *
   * @param contestId the contest it would lead to then; null for none
   */
  public record Due(Refit refit, @Nullable Long contestId) {}

  /**
   * What has to change.
   *
   * @param led the contest it leads to; null where that is gone, or it leads to none
   * @return empty where nothing has to
   * @throws Refused where it cannot be fitted
   */
  public Optional<Due> due(@Nullable Led led) {
    Meets.Meet peak = roles.stream().filter(Meets.Role::peak).map(Meets.Role::meet).findFirst().orElse(null);
    if (contestId != null && (led == null || led.standing() == Standing.CANCELLED)) {
      if (peak != null) {
        return to(peak);
      }
      return plan.contest() == null && !plan.holds() ? Optional.empty()
          : Optional.of(new Due(Refit.cancelled(plan, fresh.apply(null)), null));
    }
    if (led != null && led.standing() == Standing.POSTPONED) {
      if (plan.contest() != null) {
        return Optional.of(new Due(Refit.postponed(plan, fresh.apply(null)), contestId));
      }
      return peak == null ? Optional.empty() : to(peak);
    }
    boolean behind = led != null && led.day() != null && led.day().isBefore(today);
    return peak == null || behind ? Optional.empty() : to(peak);
  }

  /**
   * What would have to change if the contest the plan leads to became something else.
   *
   * @throws Refused where it cannot be fitted
   */
  public Due moved(Led to) {
    if (to.standing() == Standing.CANCELLED) {
      return new Due(Refit.cancelled(plan, fresh.apply(null)), null);
    }
    LocalDate day = to.day();
    if (to.standing() == Standing.POSTPONED || day == null) {
      return new Due(Refit.postponed(plan, fresh.apply(null)), contestId);
    }
    if (day.isBefore(today)) {
      throw new Refused("The day " + day + " is behind: a contest cannot move there");
    }
    return new Due(Refit.toDate(plan, day, fresh.apply(day)), contestId);
  }

  private Optional<Due> to(Meets.Meet peak) {
    List<LocalDate> training = roles.stream().filter(role -> !role.peak()).map(role -> role.meet().day())
        .filter(day -> day.isBefore(peak.day())).toList();
    boolean same = peak.day().equals(plan.contest());
    List<LocalDate> ahead = plan.trainingDays().stream().filter(day -> !day.isBefore(today)).toList();
    if (same && ahead.equals(training) && Objects.equals(contestId, peak.id())) {
      return Optional.empty();
    }
    List<Changed> first = why(peak);
    LocalDate from = fresh.apply(peak.day());
    if (same && ahead.equals(training)) {
      return Optional.of(new Due(new Refit(plan, plan, from, first), peak.id()));
    }
    Refit refit = same ? new Refit(plan, plan, from, List.of()) : Refit.toDate(plan, peak.day(), from);
    List<LocalDate> all = new ArrayList<>(plan.trainingDays().stream().filter(day -> day.isBefore(today)).toList());
    all.addAll(training);
    List<Changed> changes = new ArrayList<>(first);
    changes.addAll(refit.changes());
    roles.stream().filter(role -> !role.peak() && training.contains(role.meet().day()) && !plan.trainingDays().contains(role.meet().day())
        && first.stream().noneMatch(said -> said.why().equals(role.why()))).forEach(role -> changes.add(trained(role)));
    if (training.isEmpty() && !ahead.isEmpty()) {
      changes.add(new Changed("No contest on the way any more", "The days of it are trained as planned."));
    }
    return Optional.of(new Due(new Refit(plan, refit.now().through(all), from, changes), peak.id()));
  }

  /** Why it leads to another contest than before; nothing where it leads there already. */
  private List<Changed> why(Meets.Meet peak) {
    if (contestId != null && contestId == peak.id()) {
      return List.of();
    }
    Optional<Meets.Role> leads = roles.stream().filter(role -> role.peak() && role.meet().id() == peak.id()
        && !role.why().isEmpty()).findFirst();
    List<Changed> said = new ArrayList<>();
    if (leads.isEmpty()) {
      said.add(new Changed("It leads to " + peak.name(), "It is the next contest that is peaked for."));
    }
    roles.stream().filter(role -> !role.why().isEmpty() && (role.meet().id() == peak.id() || contestId != null
        && role.meet().id() == contestId))
        .forEach(role -> said.add(role.peak() ? new Changed("It leads to " + role.meet().name(), role.why()) : trained(role)));
    return said;
  }

  private static Changed trained(Meets.Role role) {
    return new Changed(role.meet().name() + " as a training day", role.why());
  }
}
