package org.yarbel.web.api;

import java.math.BigDecimal;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;
import org.yarbel.core.card.RampStyle;
import org.yarbel.core.card.WarmUpRamp;
import org.yarbel.core.kit.Loadables;
import org.yarbel.core.kit.Loading;
import org.yarbel.core.lift.Movement;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;

/** Which plates make a load, and the warm-up to it. */
@RestController
class PlatesController {
  private final KitReader kits;

  PlatesController(KitReader kits) {
    this.kits = kits;
  }

  /** A load to make. */
  record PlatesRequest(@Nullable String unit, @Nullable BigDecimal target, @Nullable BigDecimal bar,
      @Nullable BigDecimal collars, @Nullable List<KitReader.PlateSize> plates) {}

  /** A way to load the bar, the heaviest plate first. */
  record Loaded(BigDecimal total, List<BigDecimal> perSide) {
    static @Nullable Loaded of(Optional<Loading> loading, MassUnit unit) {
      return loading.map(l -> new Loaded(l.total().amountIn(unit, 2), Numbers.plates(l.perSide()))).orElse(null);
    }
  }

  /** The nearest loadings; both are the target when it can be made. */
  record PlatesAnswer(boolean exact, @Nullable Loaded below, @Nullable Loaded above) {}

  /** A top set to warm up to. */
  record RampRequest(@Nullable String unit, @Nullable BigDecimal top, @Nullable BigDecimal bar, @Nullable BigDecimal collars,
      @Nullable List<KitReader.PlateSize> plates, @Nullable String lift, @Nullable String style, @Nullable BigDecimal jump) {}

  /** The steps, the top set not included. */
  record RampAnswer(List<ResolveAnswer.Step> steps) {}

  private enum Style {
    SHRINKING,
    FIXED
  }

  @PostMapping("/api/v1/plates")
  PlatesAnswer plates(@RequestBody PlatesRequest request) {
    MassUnit unit = Numbers.unit(request.unit());
    Mass target = Numbers.load("target", Numbers.required("target", request.target()), unit);
    Loadables loadables = kits.loadables(request.bar(), request.collars(), request.plates(), unit);
    return new PlatesAnswer(loadables.exact(target).isPresent(), Loaded.of(loadables.below(target), unit),
        Loaded.of(loadables.above(target), unit));
  }

  @PostMapping("/api/v1/ramp")
  RampAnswer ramp(@RequestBody RampRequest request) {
    MassUnit unit = Numbers.unit(request.unit());
    Mass top = Numbers.load("top", Numbers.required("top", request.top()), unit);
    Movement movement = Numbers.one(Movement.class, "lift", request.lift(), Movement.OTHER);
    Style style = Numbers.one(Style.class, "style", request.style(), Style.SHRINKING);
    Mass jump = Numbers.optionalLoad("jump", request.jump(), unit);
    Loadables loadables = kits.loadables(request.bar(), request.collars(), request.plates(), unit);
    RampStyle ramp = style == Style.SHRINKING ? RampStyle.SHRINKING : RampStyle.even(jump, unit);
    if (!ramp.reaches(top)) {
      throw new OutOfRange("So small a jump makes more than " + RampStyle.MOST_STEPS + " steps.");
    }
    return new RampAnswer(WarmUpRamp.to(top, loadables, movement, ramp).steps().stream()
        .map(step -> ResolveAnswer.step(step, unit)).toList());
  }
}
