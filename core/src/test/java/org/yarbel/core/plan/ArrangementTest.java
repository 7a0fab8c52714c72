package org.yarbel.core.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.NoSuchElementException;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.UUID;
import org.junit.jupiter.api.Test;

/** How lines stand together is common practice, no source. */
class ArrangementTest {
  private static UUID ref(String name) {
    return UUID.nameUUIDFromBytes(name.getBytes(StandardCharsets.UTF_8));
  }

  private static Arrangement of(String... names) {
    return new Arrangement(List.of(names).stream().map(name -> new Arrangement.Line(ref(name), SlotKind.MAIN, null, null))
        .toList(), Groups.NONE);
  }

  /** The lines by their names with their groups, those a second time in brackets. */
  private static List<String> told(Arrangement arrangement, String... names) {
    List<String> told = new ArrayList<>();
    for (Arrangement.Line line : arrangement.lines()) {
      UUID own = line.again() == null ? line.ref() : line.again();
      String name = List.of(names).stream().filter(one -> ref(one).equals(own)).findFirst().orElseThrow() + (line.group() == null
          ? "" : " " + line.group());
      told.add(line.own() ? name : "(" + name + ")");
    }
    return told;
  }

  private static List<String> told(Arrangement arrangement) {
    return told(arrangement, "row", "plank", "curl", "squat");
  }

  private static Arrangement settled(Optional<Arrangement> arrangement) {
    return arrangement.orElseThrow().settled(ref -> false);
  }

  @Test
  void movesALineAsFarAsThereAreLines() {
    Arrangement three = of("row", "plank", "curl");
    assertThat(told(three.moved(ref("curl"), -1).orElseThrow())).containsExactly("row", "curl", "plank");
    assertThat(told(three.moved(ref("row"), 99).orElseThrow())).containsExactly("plank", "curl", "row");
    assertThat(three.moved(ref("curl"), Integer.MAX_VALUE)).as("it is the last").isEmpty();
    assertThat(three.moved(ref("row"), Integer.MIN_VALUE)).as("it is the first").isEmpty();
    assertThat(told(three.movedBefore(ref("curl"), ref("row")).orElseThrow())).containsExactly("curl", "row", "plank");
    assertThat(told(three.movedBefore(ref("row"), null).orElseThrow())).containsExactly("plank", "curl", "row");
    assertThat(three.movedBefore(ref("row"), ref("plank"))).as("there already").isEmpty();
    assertThat(three.movedBefore(ref("row"), ref("row"))).as("itself").isEmpty();
  }

  @Test
  void twoLinesByTurnsAreASupersetAndThreeAGiantSet() {
    Arrangement two = of("row", "plank", "curl").joined(ref("plank")).orElseThrow();
    assertThat(told(two)).containsExactly("row 1", "plank 1", "curl");
    assertThat(two.groups().group(1)).isEqualTo(Group.ofLines(2));
    Arrangement three = two.joined(ref("curl")).orElseThrow();
    assertThat(told(three)).containsExactly("row 1", "plank 1", "curl 1");
    assertThat(three.groups().group(1)).isEqualTo(Group.ofLines(3));
    assertThat(two.joined(ref("row"))).as("nothing is above it").isEmpty();
  }

  @Test
  void aGroupSomebodyDescribedStaysAsItIsWhenALineJoins() {
    Group circuit = new Group(Group.Kind.CIRCUIT, 3, 0, 60, null);
    Arrangement three = of("row", "plank", "curl").joined(ref("plank")).orElseThrow().with(1, circuit).joined(ref("curl")).orElseThrow();
    assertThat(three.groups().group(1)).isEqualTo(circuit);
  }

  @Test
  void aLineMovedBetweenTwoOfAGroupJoinsThemAndAwayFromThemLeaves() {
    Arrangement group = of("row", "plank", "curl", "squat").joined(ref("plank")).orElseThrow();
    assertThat(told(group.movedBefore(ref("squat"), ref("plank")).orElseThrow())).containsExactly("row 1", "squat 1", "plank 1", "curl");
    assertThat(told(group.movedBefore(ref("plank"), ref("row")).orElseThrow())).as("it stays beside the others")
        .containsExactly("plank 1", "row 1", "curl", "squat");
    assertThat(told(settled(group.movedBefore(ref("row"), null)))).as("a group of one is none")
        .containsExactly("plank", "curl", "squat", "row");
  }

  @Test
  void aLineThatLeavesFromTheMiddleGoesBehindItsGroup() {
    Arrangement three = of("row", "plank", "curl", "squat").joined(ref("plank")).orElseThrow().joined(ref("curl")).orElseThrow();
    assertThat(told(settled(three.left(ref("plank"))))).containsExactly("row 1", "curl 1", "plank", "squat");
    assertThat(told(settled(three.left(ref("row"))))).as("the first stays before it").containsExactly("row", "plank 1", "curl 1", "squat");
    assertThat(three.left(ref("squat"))).as("it is in none").isEmpty();
    assertThat(told(three.dissolved(1))).containsExactly("row", "plank", "curl", "squat");
  }

  @Test
  void aGroupIsDoneASecondTimeAtTheEndAndFollowsTheFirst() {
    Arrangement twice = settled(of("row", "plank", "squat").joined(ref("plank")).orElseThrow().again(1, SlotKind.COOL_DOWN));
    assertThat(told(twice)).containsExactly("row 1", "plank 1", "squat", "(row 2)", "(plank 2)");
    assertThat(twice.again(1, SlotKind.COOL_DOWN)).as("twice already").isEmpty();
    assertThat(twice.again(2, SlotKind.COOL_DOWN)).as("no third time").isEmpty();
    assertThat(twice.again(9, SlotKind.COOL_DOWN)).as("no such group").isEmpty();
    Arrangement joined = settled(twice.movedBefore(ref("squat"), ref("plank")));
    assertThat(told(joined)).as("who joins is done twice too").containsExactly("row 1", "squat 1", "plank 1", "(row 2)",
        "(plank 2)", "(squat 2)");
    assertThat(joined.lines()).filteredOn(line -> !line.own()).extracting(Arrangement.Line::kind).containsOnly(SlotKind.COOL_DOWN);
    assertThat(told(joined.dissolved(2).settled(ref -> false))).as("the second time goes").containsExactly("row 1", "squat 1", "plank 1");
    assertThat(told(joined.dissolved(1).settled(ref -> false))).as("with the first").containsExactly("row", "squat", "plank");
    assertThat(told(settled(joined.left(ref("row"))))).containsExactly("row", "squat 1", "plank 1", "(plank 2)", "(squat 2)");
  }

  @Test
  void whatIsLiftedStaysWhateverBecameOfItsFirst() {
    Arrangement twice = settled(of("row", "plank").joined(ref("plank")).orElseThrow().again(1, SlotKind.COOL_DOWN));
    UUID lifted = twice.lines().get(2).ref();
    assertThat(told(twice.dissolved(1).settled(lifted::equals))).containsExactly("row", "plank", "(row 2)");
  }

  @Test
  void theSecondTimeOfALineIsTheSameLineWhenItComesBack() {
    Arrangement twice = settled(of("row", "plank").joined(ref("plank")).orElseThrow().again(1, SlotKind.COOL_DOWN));
    Arrangement back = new Arrangement(twice.lines().subList(0, 2), twice.groups()).settled(ref -> false);
    assertThat(back).isEqualTo(twice);
  }

  @Test
  void aLineThatIsNotThereIsRefused() {
    assertThatThrownBy(() -> of("row").moved(ref("squat"), 1)).isInstanceOf(NoSuchElementException.class)
        .hasMessageContaining("has no line");
    assertThatThrownBy(() -> of("row").line(ref("squat"))).isInstanceOf(NoSuchElementException.class);
  }

  @Test
  void whateverIsDoneNoLineIsLostAndOrderHolds() {
    Random random = new Random(7);
    Set<UUID> all = new HashSet<>();
    Arrangement stands = of("row", "plank", "curl", "squat");
    stands.lines().forEach(line -> all.add(line.ref()));
    for (int i = 0; i < 3000; i++) {
      UUID line = new ArrayList<>(all).get(random.nextInt(4));
      int group = 1 + random.nextInt(3);
      Arrangement now = stands;
      Optional<Arrangement> next = switch (random.nextInt(6)) {
        case 0 -> now.moved(line, random.nextInt(7) - 3);
        case 1 -> now.movedBefore(line, new ArrayList<>(all).get(random.nextInt(4)));
        case 2 -> now.joined(line);
        case 3 -> now.left(line);
        case 4 -> now.again(group, SlotKind.COOL_DOWN);
        default -> Optional.of(now.dissolved(group));
      };
      stands = next.orElse(stands).settled(ref -> false);
      assertThat(stands.lines().stream().filter(Arrangement.Line::own).map(Arrangement.Line::ref)).as("step " + i)
          .containsExactlyInAnyOrderElementsOf(all);
      assertThat(stands.settled(ref -> false)).as("in order already").isEqualTo(stands);
      for (Groups.Numbered one : stands.groups().all()) {
        int members = stands.members(one.number()).size();
        assertThat(members).as("a group of one is none").isGreaterThan(1);
        if (one.again() != null) {
          assertThat(stands.members(one.again())).as("done twice are all or none").hasSize(members);
        }
      }
    }
  }
}
