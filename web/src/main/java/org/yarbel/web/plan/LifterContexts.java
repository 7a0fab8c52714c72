package org.yarbel.web.plan;

import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.yarbel.core.card.MaxNumbers;
import org.yarbel.core.kit.Kit;
import org.yarbel.core.notation.Basis;
import org.yarbel.web.club.Places;
import org.yarbel.web.lifter.LiftNumbers;
import org.yarbel.web.lifter.LiftNumbersRepository;
import org.yarbel.web.lifter.Lifter;

/** Gathers what lifters' lines are worked out with, in three queries however many lifters there are. */
@Service
public class LifterContexts {
  private final LiftNumbersRepository numbers;
  private final Places places;

  LifterContexts(LiftNumbersRepository numbers, Places places) {
    this.numbers = numbers;
    this.places = places;
  }

  /** The context of one lifter. */
  @Transactional(readOnly = true)
  public LifterContext of(Lifter lifter) {
    return of(List.of(lifter)).get(lifter.id());
  }

  /** The contexts of lifters, by their id. */
  @Transactional(readOnly = true)
  public Map<Long, LifterContext> of(Collection<Lifter> lifters) {
    Map<Long, Kit> kits = places.kits(lifters.stream().map(Lifter::placeId).collect(Collectors.toSet()));
    Map<Long, List<LiftNumbers>> byLifter = numbers.findByLifterIdIn(lifters.stream().map(Lifter::id).toList()).stream()
        .collect(Collectors.groupingBy(LiftNumbers::lifterId));
    Map<Long, LifterContext> contexts = new HashMap<>();
    for (Lifter lifter : lifters) {
      List<LiftNumbers> own = byLifter.getOrDefault(lifter.id(), List.of());
      Map<String, MaxNumbers> maxes =
          own.stream().collect(Collectors.toMap(LiftNumbers::lift, n -> n.numbers(lifter.unit())));
      Map<String, Basis> bases = own.stream().collect(Collectors.toMap(LiftNumbers::lift, LiftNumbers::basis));
      Kit kit = kits.get(lifter.placeId());
      contexts.put(lifter.id(),
          new LifterContext(lifter.unit(), lifter.bodyMass(), maxes, bases, kit, places.loadables(kit)));
    }
    return contexts;
  }
}
