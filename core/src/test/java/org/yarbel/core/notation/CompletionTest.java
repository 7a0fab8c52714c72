package org.yarbel.core.notation;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatCode;

import java.util.List;
import java.util.random.RandomGenerator;
import java.util.random.RandomGeneratorFactory;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.yarbel.core.sim.GeneratedLines;

class CompletionTest {
  private static List<String> after(String typed) {
    return Completion.after(typed).proposals().stream().map(Completion.Proposal::text).toList();
  }

  @Test
  void beginsWithTheKindsOfWork() {
    assertThat(after("")).startsWith("5x5 75%", "1x1 @8").contains("build 8 @7", "cluster 3x6 93% gap 20s", "series 100/120/140kg");
    assertThat(after("1x1 @8; ")).as("with a top set before, back-offs first").startsWith("4x4 -15%");
    assertThat(after("clu")).containsExactly("cluster 3x6 93% gap 20s");
  }

  @Test
  void offersWhatMayStandBesideTheWork() {
    assertThat(after("5x5 ")).startsWith("75%", "100kg", "bw+20kg", "@8").contains("rest 2:00", "until @9", "; ")
        .doesNotContain("gap 20s", "at top", "-15%");
    assertThat(after("1x1 @8; 4x4 ")).startsWith("-15%", "80% top");
    assertThat(after("cluster 3x6 93% ")).as("what is needed first").startsWith("gap 20s").doesNotContain("@8", "until @9");
    assertThat(after("build 8 ")).startsWith("@7").doesNotContain("75%");
    assertThat(after("2xAMRAP 70% ")).doesNotContain("@8");
    assertThat(after("5x5 75% ")).startsWith("tested", "est", "tm", "goal", "today");
    assertThat(after("5x5 75% chains 15kg ")).contains("at top");
    assertThat(after("1x1 @8; 3x3 -5% ")).startsWith("each");
  }

  @Test
  void finishesAWordThatWasBegun() {
    assertThat(Completion.after("5x5 75% re")).isEqualTo(new Completion(8, List.of(
        new Completion.Proposal("rest 2:00", "after each set"),
        new Completion.Proposal("reverse 36kg", "what the bands hold at the bottom"))));
    assertThat(after("5x5 75% RE")).containsExactly("rest 2:00", "reverse 36kg");
    assertThat(after("5x5 75% rest ")).containsExactly("90s", "3:00");
    assertThat(after("5x5 75% chains 15kg at ")).containsExactly("top", "bottom");
  }

  @Test
  void isSilentWhereNothingFitsWhatStandsThere() {
    assertThat(after("5x5 banana ")).isEmpty();
    assertThat(after("5x")).isEmpty();
    assertThat(after("x".repeat(600))).isEmpty();
  }

  @ParameterizedTest
  @ValueSource(strings = {"", "5x5 ", "5x5 75% ", "1x1 @8; ", "1x1 @8; 4x4 ", "carry 2x20m ", "timed 2x60s 100kg ", "emom 10x2 ",
    "max 1 ", "hold 3x30s ", "series 100/120kg ", "warm 1x5 30% ", "negative 1x8 110% ", "5x5 75% chains 15kg "})
  void whateverItOffersCanStandThere(String typed) {
    for (String text : after(typed)) {
      if (!text.equals("; ")) {
        assertThatCode(() -> WorkLine.parse(typed + text)).as(typed + text).doesNotThrowAnyException();
      }
    }
  }

  @Test
  void neverStumblesOverWhatIsTyped() {
    RandomGenerator random = RandomGeneratorFactory.of("L64X128MixRandom").create(45);
    for (int i = 0; i < 5_000; i++) {
      String text = GeneratedLines.damaged(random);
      String typed = text.substring(0, random.nextInt(text.length() + 1));
      Completion completion = Completion.after(typed);
      assertThat(completion.from()).as(typed).isBetween(0, typed.length());
    }
  }
}
