package org.yarbel.core.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.yarbel.core.card.MaxNumbers;
import org.yarbel.core.card.ResolvedSet;
import org.yarbel.core.card.Resolver;
import org.yarbel.core.kit.Kit;
import org.yarbel.core.kit.Loadables;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.notation.Basis;
import org.yarbel.core.notation.WorkLine;

/** Groups are common practice, no source. */
class SetOrderTest {
  private static final Loadables KG = Loadables.of(Kit.standard(MassUnit.KG));
  private static final Mass MAX = Mass.of("200", MassUnit.KG);

  private static List<ResolvedSet> sets(String work) {
    return Resolver.resolve(Resolver.Request.of(WorkLine.parse(work), Basis.ESTIMATED, new MaxNumbers(MAX, MAX, null, null), KG)).sets();
  }

  private static SetOrder.Line line(String work, Long groupId, Group group, boolean assistance) {
    return new SetOrder.Line(sets(work), groupId, group, assistance);
  }

  private static SetOrder.Line alone(String work) {
    return line(work, null, null, false);
  }

  private static String order(List<SetOrder.Line> lines) {
    return SetOrder.of(lines).stream().map(turn -> turn.line() + ":" + turn.part() + "." + turn.set() + (turn.rest() == null ? ""
        : " " + turn.rest()))
        .collect(Collectors.joining(", "));
  }

  @Test
  void linesFollowOneAnother() {
    assertThat(order(List.of(alone("1x1 92% rest 5:00; 2x4 -15%"), alone("2x5 60%"))))
        .as("written, then 78.2 % of the max, then 60 %").isEqualTo("1:1.1 300, 1:2.1 150, 1:2.2 150, 2:1.1 120, 2:1.2 120");
  }

  @Test
  void aSupersetGoesByTurnsWithItsRests() {
    Group superset = new Group(Group.Kind.SUPERSET, null, 20, 90, null);
    List<SetOrder.Line> lines = List.of(line("3x8 50kg", 9L, superset, true), line("2x12 20kg", 9L, superset, true), alone("1x5 60%"));
    assertThat(order(lines)).as("the shorter line ends sooner; after the last comes its own rest")
        .isEqualTo("1:1.1 20, 2:1.1 90, 1:1.2 20, 2:1.2 90, 1:1.3 90, 3:1.1 120");
    assertThat(SetOrder.of(lines)).extracting(SetOrder.Turn::round).containsExactly(1, 1, 2, 2, 3, 0);
  }

  @Test
  void roundsTakeEveryLineWithItsSets() {
    Group circuit = new Group(Group.Kind.CIRCUIT, 2, null, 60, null);
    List<SetOrder.Line> lines = List.of(line("2x10 50kg", 1L, circuit, true), line("4x5 40kg", 1L, circuit, true));
    assertThat(SetOrder.of(lines)).extracting(t -> t.line() + "." + t.set() + " in " + t.round())
        .containsExactly("1.1 in 1", "2.1 in 1", "2.2 in 1", "1.2 in 2", "2.3 in 2", "2.4 in 2");
  }

  @Test
  void aMedleyIsOneRoundInOrderAndWhatCannotBeMultipliedIsDoneFirst() {
    Group medley = new Group(Group.Kind.MEDLEY, 1, 0, null, 120);
    assertThat(order(List.of(line("carry 1x20m 200kg", 4L, medley, false), line("series 100/120kg", 4L, medley, false))))
        .isEqualTo("1:1.1 0, 2:1.1 180, 2:1.2 180");
    Group twice = new Group(Group.Kind.CIRCUIT, 2, null, null, null);
    assertThat(SetOrder.of(List.of(line("2x5 50kg", 1L, twice, true), line("max 1", 1L, twice, true))))
        .extracting(t -> t.line() + "." + t.set() + " in " + t.round()).containsExactly("1.1 in 1", "2.1 in 1", "1.2 in 2");
  }

  @Test
  void twoGroupsSideBySideStayApart() {
    Group superset = Group.ofLines(2);
    assertThat(order(List.of(line("2x5 50kg", 1L, superset, true), line("2x5 50kg", 1L, superset, true),
        line("2x5 50kg", 2L, superset, true), line("2x5 50kg", 2L, superset, true))))
        .isEqualTo("1:1.1 0, 2:1.1 90, 1:1.2 0, 2:1.2 90, 3:1.1 0, 4:1.1 90, 3:1.2 0, 4:1.2 90");
  }

  @Test
  void aGroupSaysWhatItIsAndKeepsToItsLimits() {
    assertThat(new Group(Group.Kind.SUPERSET, 3, 30, 120, null).words())
        .isEqualTo("superset, 3 rounds, 30 s between, 2 min between rounds");
    assertThat(new Group(Group.Kind.MEDLEY, 1, 0, null, 90).words()).isEqualTo("medley, no rest between, 90 s on one clock");
    assertThat(Group.ofLines(3).kind()).isEqualTo(Group.Kind.GIANT_SET);
    assertThatThrownBy(() -> new Group(Group.Kind.CIRCUIT, 21, null, null, null)).hasMessage("The rounds must be from 1 to 20 but was 21");
    assertThatThrownBy(() -> new Group(Group.Kind.CIRCUIT, null, null, 3601, null))
        .hasMessage("The rest between rounds must be from 0 to 3600 but was 3601");
  }
}
