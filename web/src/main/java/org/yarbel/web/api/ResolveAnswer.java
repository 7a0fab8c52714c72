package org.yarbel.web.api;

import com.fasterxml.jackson.annotation.JsonInclude;
import java.math.BigDecimal;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.card.Caution;
import org.yarbel.core.card.LoggedSet;
import org.yarbel.core.card.RampStep;
import org.yarbel.core.card.ResolvedLine;
import org.yarbel.core.card.ResolvedSet;
import org.yarbel.core.effort.Rpe;
import org.yarbel.core.mass.MassUnit;

/** A line worked out, in the request's unit. */
record ResolveAnswer(String notation, List<Step> ramp, List<SetAnswer> sets, @Nullable Today today, List<CautionAnswer> cautions) {
  /** A warm-up. */
  record Step(BigDecimal load, int reps, List<BigDecimal> perSide) {}

  /** Something to mind. */
  record CautionAnswer(String code, String text, @JsonInclude(JsonInclude.Include.NON_NULL) @Nullable String reason) {
    static CautionAnswer of(Caution caution) {
      return new CautionAnswer(caution.code(), caution.text(), caution.reason());
    }
  }

  /** Today's max. */
  record Today(BigDecimal estimate) {}

  /** A set; what is marked to be left out stands only where it applies. */
  record SetAnswer(
      int part,
      int set,
      String role,
      @Nullable BigDecimal exact,
      @Nullable BigDecimal load,
      @Nullable Integer reps,
      @JsonInclude(JsonInclude.Include.NON_NULL) @Nullable Integer repsTo,
      @Nullable BigDecimal rpe,
      @JsonInclude(JsonInclude.Include.NON_NULL) @Nullable BigDecimal rpeTo,
      @Nullable BigDecimal percent,
      @Nullable List<BigDecimal> perSide,
      @Nullable Integer restSeconds,
      @Nullable String tempo,
      @JsonInclude(JsonInclude.Include.NON_NULL) @Nullable BigDecimal bottom,
      @JsonInclude(JsonInclude.Include.NON_NULL) @Nullable BigDecimal top,
      @JsonInclude(JsonInclude.Include.NON_NULL) @Nullable BigDecimal exactFrom,
      @JsonInclude(JsonInclude.Include.NON_NULL) @Nullable BigDecimal exactTo,
      @JsonInclude(JsonInclude.Include.NON_NULL) @Nullable Integer seconds,
      @JsonInclude(JsonInclude.Include.NON_NULL) @Nullable BigDecimal metres,
      @JsonInclude(JsonInclude.Include.NON_NULL) @Nullable Integer turns,
      @JsonInclude(JsonInclude.Include.NON_NULL) @Nullable Integer gapSeconds,
      @JsonInclude(JsonInclude.Include.NON_NULL) @Nullable Integer limitSeconds,
      @JsonInclude(JsonInclude.Include.NON_NULL) @Nullable Integer everySeconds,
      @JsonInclude(JsonInclude.Include.NON_NULL) @Nullable String stop,
      String status) {
    static SetAnswer of(ResolvedSet set, @Nullable BigDecimal lowRating, MassUnit unit) {
      ResolvedSet.Ends ends = set.ends();
      ResolvedSet.Distance distance = set.distance();
      ResolvedSet.Clock clock = set.clock() == null ? new ResolvedSet.Clock(null, null, null, null) : set.clock();
      return new SetAnswer(set.part(), set.set(), set.role().key(), Numbers.two(set.exact(), unit),
          Numbers.two(set.load(), unit), set.reps(), set.repsTo(), lowRating != null ? Numbers.two(lowRating.doubleValue())
          : value(set.rpe()), value(set.rpeTo()), set.percent() == null ? null : Numbers.two(set.percent()),
          set.perSide() == null ? null : Numbers.plates(set.perSide()), set.restSeconds(), set.tempo(),
          ends == null ? null : Numbers.two(ends.bottom(), unit), ends == null ? null : Numbers.two(ends.top(), unit),
          Numbers.two(set.exactFrom(), unit), Numbers.two(set.exactTo(), unit), clock.seconds(),
          distance == null ? null : Numbers.two(distance.metres().doubleValue()), distance == null ? null : distance.turns(),
          clock.gap(), clock.limit(), clock.every(), set.stop(), set.logged() ? "logged" : "planned");
    }
  }

  static ResolveAnswer of(ResolvedLine line, Map<LoggedSet.Place, BigDecimal> lowRatings, MassUnit unit) {
    return new ResolveAnswer(line.notation(), line.ramp().stream().map(s -> step(s, unit)).toList(),
        line.sets().stream().map(s -> SetAnswer.of(s, lowRatings.get(new LoggedSet.Place(s.part(), s.set())), unit)).toList(),
        line.today() == null ? null : new Today(line.today().amountIn(unit, 2)), line.cautions().stream().map(CautionAnswer::of).toList());
  }

  static Step step(RampStep step, MassUnit unit) {
    return new Step(step.load().amountIn(unit, 2), step.reps(), Numbers.plates(step.perSide()));
  }

  private static @Nullable BigDecimal value(@Nullable Rpe rpe) {
    return rpe == null ? null : Numbers.two(rpe.value());
  }
}
