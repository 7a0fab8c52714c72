package org.yarbel.web.library;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.yarbel.core.plan.Group;
import org.yarbel.core.plan.SlotKind;

class TemplateDocumentTest {
  private final TemplateFormat format = new TemplateFormat();

  private static TemplateDocument.TemplateLine line(String part, String lift, String work) {
    return new TemplateDocument.TemplateLine(part, lift, work, null, null, null, null, null);
  }

  private static TemplateDocument document(TemplateDocument.TemplateLine... lines) {
    return new TemplateDocument(TemplateDocument.FORMAT, TemplateDocument.VERSION, "A week", null, "week", Map.of("squat", "Squat"),
        List.of(new TemplateDocument.TemplateWeek(List.of(new TemplateDocument.TemplateDay(1, null, List.of(lines))))));
  }

  @Test
  void isWrittenInTheFormatItIsReadIn() {
    TemplateDocument document = document(line("main", "squat", "3x5 @8"), new TemplateDocument.TemplateLine("cool-down", "plank",
        "hold 3x30s", 1, true, "trunk", "breathe", "stop if it hurts"));
    TemplateFormat.TemplateRead read = format.read(format.write(document));
    assertThat(read.problems()).isEmpty();
    assertThat(read.document()).isEqualTo(document);
    assertThat(format.stored(format.write(document))).isEqualTo(document);
    assertThat(document.lineCount()).isEqualTo(2);
  }

  @Test
  void leavesOutWhatIsNotSaid() {
    assertThat(format.write(document(line("main", "squat", "3x5 @8")))).doesNotContain("null").doesNotContain("optional")
        .doesNotContain("about");
  }

  @Test
  void mapsLiftsWhereverTheyAreNamed() {
    TemplateDocument mapped = document(line("main", "hall-squat", "3x5 80%"),
        line("second", "squat", "3x5 60% of hall-squat; 2x3 50% of hall-squat-2"))
        .with(Map.of("hall-squat", "front-squat"), Map.of("front-squat", "Front squat"));
    List<TemplateDocument.TemplateLine> lines = mapped.weeks().get(0).days().get(0).lines();
    assertThat(lines.get(0).lift()).isEqualTo("front-squat");
    assertThat(lines.get(1).work()).as("another lift that begins alike stays").isEqualTo("3x5 60% of front-squat; 2x3 50% of hall-squat-2");
    assertThat(mapped.lifts()).containsExactly(Map.entry("front-squat", "Front squat"));
  }

  @Test
  void namesItsLifts() {
    TemplateDocument document = document(line("main", "squat", "3x5"), line("assistance", "row", "3x8"), line("assistance", "row", "2x8"));
    assertThat(document.liftKeys()).containsExactly("row", "squat");
    assertThat(document.called("squat")).isEqualTo("Squat");
    assertThat(document.called("row")).isEqualTo("row");
    assertThat(document.named("Other").name()).isEqualTo("Other");
  }

  @Test
  void knowsEveryPartAndGroup() {
    for (SlotKind kind : SlotKind.values()) {
      assertThat(line(kind.word(), "squat", "3x5").kind()).isEqualTo(kind);
    }
    for (Group.Kind kind : Group.Kind.values()) {
      Group group = new Group(kind, 3, 0, 90, null);
      assertThat(TemplateDocument.GroupOf.of(2, group, SlotKind.COOL_DOWN)).satisfies(kept -> {
        assertThat(kept.group()).isEqualTo(group);
        assertThat(kept.secondTime()).isEqualTo(SlotKind.COOL_DOWN);
      });
      assertThat(TemplateDocument.GroupOf.of(2, group, null).secondTime()).isNull();
    }
  }

  @Test
  void tellsWhereAFileBreaksOffAndWhatIsMissing() {
    assertThat(format.read("").problems()).containsExactly("Choose a file, or paste its text.");
    assertThat(format.read("{\"a\": 1").problems()).first().asString().startsWith("That is no JSON: it breaks off in line 1");
    assertThat(format.read("{}").problems()).isNotEmpty().allSatisfy(problem -> assertThat(problem).startsWith("The file: ").endsWith("."));
    assertThat(format.read("[]").problems()).isNotEmpty();
    assertThat(format.read("x".repeat(TemplateFormat.MOST_TEXT + 1)).problems()).first().asString().startsWith("The file is larger");
  }

  @Test
  void refusesWhatTheFormatDoesNotKnow() {
    String good = format.write(document(line("main", "squat", "3x5 @8")));
    assertThat(format.read(good.replace("\"part\" : \"main\"", "\"part\" : \"big\"")).problems()).isNotEmpty();
    assertThat(format.read(good.replace("\"part\" : \"main\"", "\"part\" : \"main\", \"load\" : 100")).problems()).isNotEmpty();
    assertThat(format.read(good.replace("\"lift\" : \"squat\"", "\"lift\" : \"Squat!\"")).problems()).isNotEmpty();
    assertThat(format.read(good.replace("3x5 @8", "")).problems()).isNotEmpty();
  }
}
