package org.yarbel.web.library;

import com.networknt.schema.Error;
import com.networknt.schema.InputFormat;
import com.networknt.schema.Schema;
import com.networknt.schema.SchemaRegistry;
import com.networknt.schema.SpecificationVersion;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.yarbel.core.mass.Refused;
import org.yarbel.core.notation.NotationException;
import org.yarbel.core.notation.WorkLine;
import org.yarbel.web.edge.PlainText;
import tools.jackson.core.JacksonException;
import tools.jackson.core.JsonParser;
import tools.jackson.databind.DeserializationContext;
import tools.jackson.databind.deser.std.StdDeserializer;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.module.SimpleModule;

/** Reads and writes templates; what comes in is checked by the published schema before anything is made of it. */
@Component
class TemplateFormat {
  static final int MOST_TEXT = 400_000;

  private static final String SCHEMA = "/formats/template.schema.json";
  private static final int MOST_PROBLEMS = 10;

  /** Texts without signs that nobody types, however they are written in the file. */
  private final JsonMapper json = JsonMapper.builder().addModule(new SimpleModule().addDeserializer(String.class, new Plain())).build();

  private static final class Plain extends StdDeserializer<String> {
    Plain() {
      super(String.class);
    }

    @Override
    public String deserialize(JsonParser in, DeserializationContext context) {
      return PlainText.of(in.getString());
    }
  }

  private final Schema schema;

  TemplateFormat() {
    try (InputStream in = TemplateFormat.class.getResourceAsStream(SCHEMA)) {
      if (in == null) {
        throw new IllegalStateException("The schema " + SCHEMA + " is missing");
      }
      schema = SchemaRegistry.withDefaultDialect(SpecificationVersion.DRAFT_2020_12)
          .getSchema(new String(in.readAllBytes(), StandardCharsets.UTF_8));
    } catch (IOException e) {
      throw new IllegalStateException("The schema " + SCHEMA + " cannot be read", e);
    }
  }

  /** What was read; null with problems. */
  record TemplateRead(@Nullable TemplateDocument document, List<String> problems) {}

  TemplateRead read(String text) {
    if (text.isBlank() || text.length() > MOST_TEXT) {
      return new TemplateRead(null, List.of(text.isBlank() ? "Choose a file, or paste its text." : "The file is larger than "
          + MOST_TEXT + " characters."));
    }
    try {
      json.readTree(text);
    } catch (JacksonException notJson) {
      return new TemplateRead(null, List.of("That is no JSON" + (notJson.getLocation() == null ? "." : ": it breaks off in line "
          + notJson.getLocation().getLineNr() + ", column "
          + notJson.getLocation().getColumnNr() + ".")));
    }
    Set<String> problems = new LinkedHashSet<>();
    schema.validate(text, InputFormat.JSON, context -> context.executionConfig(config -> config.locale(Locale.ENGLISH))).stream()
        .limit(MOST_PROBLEMS)
        .map(TemplateFormat::sentence).forEach(problems::add);
    if (!problems.isEmpty()) {
      return new TemplateRead(null, List.copyOf(problems));
    }
    TemplateDocument document = json.readValue(text, TemplateDocument.class);
    List<String> wrong = new ArrayList<>();
    for (int w = 0; w < document.weeks().size(); w++) {
      for (TemplateDocument.TemplateDay day : document.weeks().get(w).days()) {
        String where = "Week " + (w + 1) + ", day " + day.day();
        wrong.addAll(groups(day).stream().map(sentence -> where + ": " + sentence).toList());
        for (TemplateDocument.TemplateLine line : day.lines()) {
          try {
            WorkLine.parse(line.work());
          } catch (NotationException notation) {
            wrong.add(where + ", " + line.lift() + ", work '" + line.work() + "': " + notation.problems()
                .get(0).message());
          }
        }
      }
    }
    return wrong.isEmpty() ? new TemplateRead(document, List.of()) : new TemplateRead(null, wrong.stream().limit(MOST_PROBLEMS).toList());
  }

  /** What a schema cannot say of the groups of a day. */
  private static List<String> groups(TemplateDocument.TemplateDay day) {
    List<String> wrong = new ArrayList<>();
    List<TemplateDocument.GroupOf> groups = day.groups() == null ? List.of() : day.groups();
    Set<Integer> numbers = new HashSet<>();
    for (TemplateDocument.GroupOf group : groups) {
      if (!numbers.add(group.number())) {
        wrong.add("the group number " + group.number() + " stands twice. Give each group one of its own.");
      }
      try {
        group.group();
      } catch (Refused refused) {
        wrong.add("group " + group.number() + ": " + refused.sentence());
      }
    }
    return wrong;
  }

  private static String sentence(Error error) {
    String place = String.valueOf(error.getInstanceLocation());
    return (place.isEmpty() || place.equals("$") ? "The file" : "At " + place) + ": " + error.getMessage() + ".";
  }

  String write(TemplateDocument document) {
    return json.writerWithDefaultPrettyPrinter().writeValueAsString(document);
  }

  TemplateDocument stored(String text) {
    return json.readValue(text, TemplateDocument.class);
  }
}
