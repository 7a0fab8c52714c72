package org.yarbel.web.holdings;

import static org.assertj.core.api.Assertions.assertThat;

import com.networknt.schema.InputFormat;
import com.networknt.schema.SchemaRegistry;
import com.networknt.schema.SpecificationVersion;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.yarbel.web.support.Background;
import org.yarbel.web.support.Client;
import org.yarbel.web.support.House;
import org.yarbel.web.support.TestApp;

/** A lifter's data are theirs: out, shown as they say, and gone for good. */
@ExtendWith(TestApp.class)
class LifterDataTest {
  private static Map<String, String> files(byte[] zip) throws IOException {
    Map<String, String> files = new LinkedHashMap<>();
    try (ZipInputStream in = new ZipInputStream(new ByteArrayInputStream(zip))) {
      for (ZipEntry entry = in.getNextEntry(); entry != null; entry = in.getNextEntry()) {
        files.put(entry.getName(), new String(in.readAllBytes(), StandardCharsets.ISO_8859_1));
      }
    }
    return files;
  }

  @Test
  void everythingHeldAboutThemGoesOut(TestApp app) throws IOException {
    House house = House.called(app, "Export");
    long one = house.lifters().get(0);
    Map<String, String> files = files(house.lifter().bytes("/lifters/" + one + "/data.zip").body());
    String json = files.get("lifter.json");
    assertThat(json).contains("One of Export", "export@lifter.example", "Stay with it.", "left knee").doesNotContain("Two of Export", "argon2");
    assertThat(SchemaRegistry.withDefaultDialect(SpecificationVersion.DRAFT_2020_12).getSchema(files.get("lifter.schema.json"), InputFormat.JSON)
        .validate(json, InputFormat.JSON)).isEmpty();
    // 82.5 kg weighed, 125 kg lifted by hand: exact, in kilograms
    assertThat(files.get("csv/weigh_in.csv")).startsWith("id,lifter_id,day,mass_kg,unit").contains(",82.5,KG");
    assertThat(files.get("csv/logged_set.csv")).contains(",125,");
    assertThat(files.keySet()).anyMatch(name -> name.startsWith("clips/"));
    assertThat(house.lifter().get("/lifters/" + house.lifters().get(1) + "/data.zip").statusCode()).isEqualTo(404);
    assertThat(house.lifter().get("/lifters/" + house.lifters().get(1) + "/data").statusCode()).isEqualTo(404);
    assertThat(app.jdbc().sql("select count(*) from happened where club_id = :c and event = 'EXPORTED'").param("c", house.clubId())
        .query(Integer.class).single()).isEqualTo(1);
  }

  @Test
  void anAssistantSeesNothingOfIt(TestApp app) {
    Client assistant = Client.signIn(app, "anselm");
    String data = "/lifters/" + app.lifter("Odile") + "/data";
    for (String path : List.of(data, data + ".zip")) {
      assertThat(assistant.get(path).statusCode()).as(path).isEqualTo(403);
    }
    assistant.get("/");
    assertThat(assistant.post(data + "/delete", Map.of()).statusCode()).isEqualTo(403);
    assertThat(app.jdbc().sql("select count(*) from deletion where lifter_id = :l").param("l", app.lifter("Odile")).query(Long.class).single())
        .isZero();
  }

  @Test
  void othersSeeNothingUntilItIsSaid(TestApp app) {
    House house = House.called(app, "Shown");
    long one = house.lifters().get(0);
    Client lifter = house.lifter();
    // seen by somebody else: one's own name stands in the frame of one's own pages
    Client other = house.coach();
    assertThat(other.get("/club").body()).contains("Nobody shows anything yet").doesNotContain("One of Shown");
    lifter.get("/lifters/" + one + "/data");
    lifter.post("/lifters/" + one + "/data/shown", Map.of("name", "true", "guardian", "Mother, 0123 456"));
    assertThat(other.get("/club").body()).contains("One of Shown").doesNotContain("150 kg", "Two of Shown");
    lifter.post("/lifters/" + one + "/data/shown", Map.of("name", "true", "results", "true"));
    assertThat(other.get("/club").body()).contains("One of Shown").contains("150 kg");
    assertThat(lifter.get("/club").statusCode()).isEqualTo(200);
    HttpResponse<String> refused = lifter.post("/lifters/" + one + "/data/shown", Map.of("results", "true", "guardian", "x".repeat(201)));
    assertThat(refused.statusCode()).isEqualTo(422);
    assertThat(refused.body()).as("what was said and typed stays").contains("x".repeat(201), "name=\"results\" value=\"true\" checked")
        .doesNotContain("name=\"name\" value=\"true\" checked");
    assertThat(lifter.post("/lifters/" + house.lifters().get(1) + "/data/shown", Map.of("name", "true")).statusCode()).isEqualTo(404);
  }

  @Test
  void whatIsDeletedIsGoneFromEveryTableAndOthersStay(TestApp app) {
    House house = House.called(app, "Forget");
    long one = house.lifters().get(0);
    long two = house.lifters().get(1);
    Client lifter = house.lifter();
    Client coach = house.coach();
    lifter.get("/lifters/" + one + "/data");
    lifter.post("/lifters/" + one + "/data/delete", Map.of());
    assertThat(lifter.get("/lifters/" + one + "/data").body()).contains("a coach has to confirm it");
    assertThat(lifter.post("/lifters/" + one + "/data/confirm", Map.of()).statusCode()).as("not by themselves").isEqualTo(403);
    coach.get("/house");
    assertThat(coach.get("/house").body()).contains("waits for a coach");
    coach.post("/lifters/" + one + "/data/confirm", Map.of());
    assertThat(coach.get("/lifters/" + one + "/data").body()).contains("Everything goes on");
    Instant goes = app.jdbc().sql("select goes_at from deletion where lifter_id = :l").param("l", one)
        .query(java.time.OffsetDateTime.class).single().toInstant();
    assertThat(Duration.between(Instant.now(), goes)).isBetween(Duration.ofDays(13), Duration.ofDays(14));
    app.bean(Deletions.class).due();
    assertThat(coach.get("/lifters/" + one).statusCode()).as("not yet").isEqualTo(200);
    coach.get("/lifters/" + one + "/data");
    coach.post("/lifters/" + one + "/data/keep", Map.of());
    assertThat(coach.get("/lifters/" + one + "/data").body()).doesNotContain("Everything goes on");
    coach.post("/lifters/" + one + "/data/delete", Map.of());
    app.jdbc().sql("update deletion set goes_at = now() - interval '1 second' where lifter_id = :l").param("l", one).update();
    Background.quiet(app);
    int theirs = rows(app, house.clubId(), two);
    Map<String, String> elsewhere = House.tables(app, house.clubId());
    String ref = app.jdbc().sql("select ref::text from lifter where id = :l").param("l", one).query(String.class).single();
    String sha = app.jdbc().sql("select sha256 from clip where lifter_id = :l").param("l", one).query(String.class).single();
    assertThat(sha).isNotEmpty();
    app.bean(Deletions.class).due();
    assertThat(coach.get("/lifters/" + one).statusCode()).isEqualTo(404);
    assertThat(lifter.get("/me").statusCode()).as("signed in nowhere").isEqualTo(302);
    assertThat(rows(app, house.clubId(), one)).isZero();
    assertThat(rows(app, house.clubId(), two)).as("others stay").isEqualTo(theirs);
    assertThat(House.tables(app, house.clubId())).as("other clubs stay").isEqualTo(elsewhere);
    for (String word : List.of("One of Forget", "forget@lifter.example", ref)) {
      assertThat(everywhere(app, word)).as(word).isEmpty();
    }
    assertThat(coach.get("/record?event=DELETED").body()).contains("all that was held about a lifter");
  }

  private static int rows(TestApp app, long club, long lifter) {
    return java.util.stream.Stream.concat(Tables.ALL.stream(), Tables.STAYING.stream()).filter(table -> !table.ofLifter().isEmpty())
        .mapToInt(table -> app.jdbc().sql("select count(*) from " + table.name() + " where club_id = :club and " + table.ofLifter())
            .param("club", club).param("lifter", lifter).query(Integer.class).single()).sum();
  }

  /** The tables in which a word stands, in any column. */
  private static List<String> everywhere(TestApp app, String word) {
    List<String> tables = app.jdbc().sql("select table_name from information_schema.tables where table_schema = 'public' and table_type = "
        + "'BASE TABLE' and table_name not like 'spring_session%'").query(String.class).list();
    return tables.stream().filter(table -> app.jdbc().sql("select exists (select 1 from " + table + " t where position(:word in t::text) > 0)")
        .param("word", word).query(Boolean.class).single()).toList();
  }
}
