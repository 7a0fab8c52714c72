package org.yarbel.core.notation;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import org.yarbel.core.effort.Rpe;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;

/** What is put together says what the notation says, and is read back the same. */
class PartOfTest {
  static Stream<Arguments> lines() {
    return Stream.of(
        Arguments.of(PartOf.sets(4, 8).percent(75).line(), "4x8 75%"),
        Arguments.of(PartOf.sets(4, 8).percent(77.5, Basis.TRAINING).line(), "4x8 77.5% tm"),
        Arguments.of(PartOf.sets(1, 1).percent(100, Basis.GOAL).line(), "1x1 100% goal"),
        Arguments.of(PartOf.sets(1, 3).percentOf(66.666, "squat").line(), "1x3 66.67% of squat"),
        Arguments.of(PartOf.plus(3, 5).percent(85, Basis.TRAINING).line(), "3x5+ 85% tm"),
        Arguments.of(PartOf.between(3, 8, 12).mass(Mass.of("62.5", MassUnit.KG)).line(), "3x8-12 62.5kg"),
        Arguments.of(PartOf.line(PartOf.of(new Work.Max(1)), PartOf.open(1).ofTop(80)), "max 1; 1xAMRAP 80% top"),
        Arguments.of(PartOf.line(PartOf.sets(1, 3).rpe(8), PartOf.sets(4, 3).lighter(10)), "1x3 @8; 4x3 -10%"),
        Arguments.of(PartOf.sets(4, 6).rpe(7.5).with(new Option.Cap(Rpe.of(8))).line(), "4x6 @7.5 cap @8"),
        Arguments.of(PartOf.of(new Work.Cluster(3, 6)).percent(93).with(new Option.Rest(240)).with(new Option.Gap(20)).line(),
            "cluster 3x6 93% gap 20s rest 4:00"));
  }

  @ParameterizedTest
  @MethodSource("lines")
  void saysWhatTheNotationSays(WorkLine line, String text) {
    assertThat(line).hasToString(text);
    assertThat(WorkLine.parse(text).line()).isEqualTo(line);
  }
}
