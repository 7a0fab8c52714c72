package org.yarbel.web.plan;

import java.time.LocalDate;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.yarbel.core.card.LifterContext;
import org.yarbel.core.kit.PlaceKit;
import org.yarbel.core.lift.Catalogue;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.web.club.ClubClock;
import org.yarbel.web.club.Lifts;
import org.yarbel.web.club.Places;
import org.yarbel.web.lifter.LiftNumbers;
import org.yarbel.web.lifter.LiftNumbersRepository;
import org.yarbel.web.lifter.Lifter;

/** Gathers what lifters' lines are worked out with, in a fixed number of queries however many lifters there are. */
@Service
public class LifterContexts {
  private final LiftNumbersRepository numbers;
  private final Places places;
  private final Lifts lifts;
  private final ClubClock clock;

  LifterContexts(LiftNumbersRepository numbers, Places places, Lifts lifts, ClubClock clock) {
    this.numbers = numbers;
    this.places = places;
    this.lifts = lifts;
    this.clock = clock;
  }

  /** The context of one lifter in a place; null for the one they train in first. */
  @Transactional(readOnly = true)
  public LifterContext of(Lifter lifter, @Nullable Long placeId) {
    return of(List.of(lifter), placeId == null ? Map.of() : Map.of(lifter.id(), placeId)).get(lifter.id());
  }

  /**
   * The contexts of lifters, by their id.
   *
   * @param elsewhere the place of those who do not train in the one they train in first
   */
  @Transactional(readOnly = true)
  public Map<Long, LifterContext> of(Collection<Lifter> lifters, Map<Long, Long> elsewhere) {
    return of(lifters, elsewhere, numbers.findByLifterIdIn(lifters.stream().map(Lifter::id).toList()));
  }

  /** The context of one lifter whose numbers are read already. */
  @Transactional(readOnly = true)
  public LifterContext of(Lifter lifter, @Nullable Long placeId, List<LiftNumbers> own) {
    return Objects.requireNonNull(of(List.of(lifter), placeId == null ? Map.of() : Map.of(lifter.id(), placeId), own).get(lifter.id()));
  }

  /** The same of several, whose numbers are read already. */
  @Transactional(readOnly = true)
  public Map<Long, LifterContext> of(Collection<Lifter> lifters, Map<Long, Long> elsewhere, Collection<LiftNumbers> own) {
    Set<Long> placeIds = new HashSet<>(elsewhere.values());
    lifters.forEach(lifter -> placeIds.add(lifter.placeId()));
    Map<Long, PlaceKit> kits = lifters.isEmpty() ? Map.of() : places.kits(placeIds);
    Catalogue catalogue = lifts.catalogue();
    Map<Long, List<LiftNumbers>> byLifter = own.stream().collect(Collectors.groupingBy(LiftNumbers::lifterId));
    LocalDate today = clock.today();
    Map<Long, LifterContext> contexts = new HashMap<>();
    for (Lifter lifter : lifters) {
      MassUnit unit = lifter.unit();
      Map<String, LifterContext.Known> known = new HashMap<>();
      byLifter.getOrDefault(lifter.id(), List.of()).forEach(row -> known.put(row.lift(), known(row, unit, today)));
      PlaceKit kit = kits.get(elsewhere.getOrDefault(lifter.id(), lifter.placeId()));
      contexts.put(lifter.id(), new LifterContext(unit, lifter.body(), known, lifter.ramp(), catalogue,
          LifterContext.Loads.of(kit, catalogue, unit, places::loadables)));
    }
    return contexts;
  }

  /** What a stored row knows, as of a day. */
  public static LifterContext.Known known(LiftNumbers own, MassUnit unit, LocalDate today) {
    return new LifterContext.Known(own.numbers(unit, today), own.basis(), own.ratio(), own.chart(), own.level(),
        own.standing().map(standing -> new LifterContext.Tracked(standing, today)).orElse(null));
  }
}
