package org.yarbel.core.plan.progress;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.yarbel.core.lift.Catalogue;

/** The defaults stand as the handbook gives them; our own, from common practice. */
class DefaultsTest {
  @ParameterizedTest
  @CsvSource(delimiter = '|', value = {
      "NOVICE_LINEAR      | start     | 60",
      "NOVICE_LINEAR      | reps      | 5",
      "NOVICE_LINEAR      | misses    | 3",
      "NOVICE_LINEAR      | reset     | 10",
      "PLUS_SETS          | percents  | 80,85,90",
      "PLUS_SETS          | sets      | 3",
      "GOAL_WAVE          | weeks     | 10",
      "GOAL_WAVE          | from      | 75",
      "GOAL_WAVE          | to        | 97",
      "RPE_WEEKS          | sets      | 3",
      "RPE_WEEKS          | reps      | 5",
      "RPE_WEEKS          | from      | 7",
      "RPE_WEEKS          | to        | 9",
      "BLOCKS             | volume    | 4",
      "BLOCKS             | strength  | 4",
      "BLOCKS             | peak      | 3",
      "ROTATION           | speed     | 50,55,60",
      "DOUBLE_PROGRESSION | from      | 8",
      "DOUBLE_PROGRESSION | to        | 12",
      "LADDER             | tiers     | 8,5,3",
      "LADDER             | sets      | 3",
      "LADDER             | restart   | 90",
      "SHRINKING_JUMPS    | jumps     | 5,5,5,2.5,2.5,2.5,2.5,2.5",
      "FALLING_BACKOFFS   | drops     | 5,10,15",
      "EVENT_WEEKS        | every     | 3",
      "CLUSTER            | start     | 93",
      "CLUSTER            | rounds    | 3",
      "CLUSTER            | singles   | 6",
      "CLUSTER            | gap       | 20",
      "DENSITY            | start     | 90",
      "DENSITY            | goal      | 10",
      "DENSITY            | minutes   | 10",
      "PARTIALS           | high      | 105",
      "PARTIALS           | mid       | 85",
      "PARTIALS           | low       | 70",
  })
  void standAsTheHandbookGivesThem(Method method, String key, String value) {
    assertThat(Settings.defaults(method).texts()).containsEntry(key, value);
  }

  @ParameterizedTest
  @EnumSource(Method.class)
  void areWithinTheirOwnRanges(Method method) {
    Map<String, String> defaults = Settings.defaults(method).texts();
    assertThat(Settings.check(method, defaults, Catalogue.standard()).errors()).isEmpty();
    List<Parameter> parameters = method.rule().parameters();
    assertThat(parameters).extracting(Parameter::key).doesNotHaveDuplicates().allMatch(key -> key.matches("[a-z]+"));
    assertThat(parameters).extracting(Parameter::words).doesNotHaveDuplicates().allMatch(words -> !words.isBlank());
  }

  @ParameterizedTest
  @EnumSource(Method.class)
  void refuseWhatIsOutsideOfThem(Method method) {
    for (Parameter parameter : method.rule().parameters()) {
      if (parameter.kind() != Parameter.Kind.LIFTS) {
        String under = parameter.least() > 0 ? "0" : "-1";
        for (String typed : List.of(under, Double.toString(parameter.most() + 1), "x", "1e9", "--")) {
          Settings.Checked checked = Settings.check(method, Map.of(parameter.key(), typed), Catalogue.standard());
          assertThat(checked.errors()).as("%s of %s for %s", typed, method, parameter.key()).containsOnlyKeys(parameter.key());
          assertThat(checked.errors().get(parameter.key())).startsWith("'" + parameter.words() + "'").endsWith("but was " + typed + ".");
        }
      }
    }
  }

  @Test
  void tooLongListsAreRefused() {
    String many = String.join(",", java.util.Collections.nCopies(17, "5"));
    assertThat(Settings.check(Method.SHRINKING_JUMPS, Map.of("jumps", many), Catalogue.standard()).errors().get("jumps"))
        .contains("more than 16 entries");
    String lifts = String.join(",", java.util.Collections.nCopies(17, "squat"));
    assertThat(Settings.check(Method.ROTATION, Map.of("variations", lifts), Catalogue.standard()).errors().get("variations"))
        .contains("more than 16 lifts");
  }

  @Test
  void methodsHaveTitlesAndKeysOfTheirOwn() {
    assertThat(Arrays.stream(Method.values()).map(Method::title)).doesNotHaveDuplicates();
    assertThat(Arrays.stream(Method.values()).map(Method::shortTitle)).doesNotHaveDuplicates().allMatch(title -> title.length() < 20);
    assertThat(Arrays.stream(Method.values()).map(Method::key)).doesNotHaveDuplicates().allMatch(key -> key.matches("[a-z-]+"));
    assertThat(Method.ofKey("nothing")).isEmpty();
  }
}
