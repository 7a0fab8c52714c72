package org.yarbel.web.clip;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.MessageDigest;
import java.util.Arrays;
import java.util.HexFormat;
import java.util.Map;
import java.util.Random;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.openqa.selenium.WebElement;
import org.yarbel.web.support.Browser;
import org.yarbel.web.support.Client;
import org.yarbel.web.support.Someone;
import org.yarbel.web.support.TestApp;

@ExtendWith(TestApp.class)
class ClipTest {
  /** Bytes that begin as a film does; what comes after nobody looks into. */
  private static byte[] film(String brand, int length) {
    byte[] bytes = new byte[length];
    new Random(length).nextBytes(bytes);
    System.arraycopy(("\0\0\0\30ftyp" + brand + "\0\0\2\0").getBytes(StandardCharsets.ISO_8859_1), 0, bytes, 0, 16);
    return bytes;
  }

  private record Filming(TestApp app, Client coach, long session, UUID key) {
    static Filming of(TestApp app, String name) {
      Someone lifter = Someone.called(app, name, Map.of("squat", "200"));
      lifter.add(TestApp.TODAY, "MAIN", "squat", "3x5 75%");
      return new Filming(app, lifter.coach(), app.session(name, TestApp.TODAY), UUID.randomUUID());
    }

    HttpResponse<String> begin(long bytes) {
      return coach.post("/sessions/" + session + "/clips", Map.of("key", key.toString(), "bytes", "" + bytes));
    }

    HttpResponse<String> piece(long at, byte[] bytes) {
      return coach.put("/clips/uploads/" + key + "?at=" + at, bytes);
    }

    long clip() {
      return app.jdbc().sql("select id from clip where entry_key = :key").param("key", key).query(Long.class).single();
    }
  }

  @Test
  void aClipComesInPiecesAndGoesOnAfterABreak(TestApp app) throws Exception {
    Filming filming = Filming.of(app, "Clip One");
    byte[] film = film("isom", 300_000);
    assertThat(filming.begin(film.length).body()).isEqualTo("{\"received\":0,\"clip\":null,\"refused\":null}");
    assertThat(filming.piece(0, Arrays.copyOfRange(film, 0, 100_000)).body()).contains("\"received\":100000");
    assertThat(filming.piece(0, Arrays.copyOfRange(film, 0, 100_000)).body()).as("sent again it is known").contains("\"received\":100000");
    assertThat(filming.piece(200_000, Arrays.copyOfRange(film, 200_000, 300_000)).body()).as("out of turn").contains("\"received\":100000");
    assertThat(filming.coach().get("/clips/uploads/" + filming.key()).body()).as("where to go on").contains("\"received\":100000");
    assertThat(filming.begin(film.length).body()).as("begun again after a break").contains("\"received\":100000");
    filming.piece(100_000, Arrays.copyOfRange(film, 100_000, 270_000));
    HttpResponse<String> last = filming.piece(270_000, Arrays.copyOfRange(film, 270_000, 300_000));
    assertThat(last.body()).isEqualTo("{\"received\":300000,\"clip\":" + filming.clip() + ",\"refused\":null}");
    assertThat(filming.piece(270_000, Arrays.copyOfRange(film, 270_000, 300_000)).body()).as("the answer was lost").isEqualTo(last.body());
    String sha256 = HexFormat.of().formatHex(MessageDigest.getInstance("SHA-256").digest(film));
    assertThat(app.jdbc().sql("select sha256 from clip where id = :id").param("id", filming.clip()).query(String.class).single()).isEqualTo(sha256);
    long club = app.jdbc().sql("select club_id from clip where id = :id").param("id", filming.clip()).query(Long.class).single();
    assertThat(Files.readAllBytes(app.bean(ClipStore.class).kept(club, sha256))).isEqualTo(film);
  }

  @Test
  void aPieceThatIsNotOnTheDiskIsAskedForAgain(TestApp app) {
    Filming filming = Filming.of(app, "Clip Cut");
    byte[] film = film("isom", 3_000);
    filming.begin(film.length);
    filming.piece(0, Arrays.copyOfRange(film, 0, 2_000));
    long club = app.jdbc().sql("select club_id from clip_upload where entry_key = :key").param("key", filming.key()).query(Long.class).single();
    app.bean(ClipStore.class).drop(club, filming.key());
    assertThat(filming.piece(2_000, Arrays.copyOfRange(film, 2_000, 3_000)).body()).as("from the start").contains("\"received\":0");
    assertThat(filming.piece(0, film).body()).contains("\"received\":3000").doesNotContain("\"clip\":null");
  }

  @Test
  void aFilmThatIsNotOnTheDiskIsNotThere(TestApp app) throws Exception {
    Filming filming = Filming.of(app, "Clip Gone");
    byte[] film = film("isom", 779);
    filming.begin(film.length);
    filming.piece(0, film);
    Map<String, Object> row = app.jdbc().sql("select club_id, sha256 from clip where id = :id").param("id", filming.clip()).query().singleRow();
    Files.delete(app.bean(ClipStore.class).kept((Long) row.get("club_id"), (String) row.get("sha256")));
    assertThat(filming.coach().get("/clips/" + filming.clip()).statusCode()).isEqualTo(404);
  }

  @Test
  void aFilmIsServedInRangesAndAsNothingElse(TestApp app) {
    Filming filming = Filming.of(app, "Clip Two");
    byte[] film = film("qt  ", 5_000);
    filming.begin(film.length);
    filming.piece(0, film);
    String path = "/clips/" + filming.clip();
    HttpResponse<byte[]> part = filming.coach().bytes(path, "Range", "bytes=100-199");
    assertThat(part.statusCode()).isEqualTo(206);
    assertThat(part.body()).isEqualTo(Arrays.copyOfRange(film, 100, 200));
    assertThat(part.headers().firstValue("Content-Range")).contains("bytes 100-199/5000");
    HttpResponse<byte[]> whole = filming.coach().bytes(path);
    assertThat(whole.body()).isEqualTo(film);
    assertThat(whole.headers().firstValue("Content-Type")).contains("video/quicktime");
    assertThat(whole.headers().firstValue("X-Content-Type-Options")).contains("nosniff");
    assertThat(whole.headers().allValues("Content-Security-Policy")).singleElement().asString().contains("sandbox", "default-src 'none'");
    assertThat(filming.coach().bytes(path + "?file=1").headers().firstValue("Content-Disposition").orElseThrow()).startsWith("attachment;");
    assertThat(filming.coach().bytes(path, "Range", "bytes=9000-").statusCode()).isEqualTo(416);
    assertThat(filming.coach().get("/sessions/" + filming.session() + "/clips").headers().firstValue("Content-Security-Policy").orElseThrow())
        .contains("media-src 'self' blob:");
  }

  @ParameterizedTest
  @CsvSource({"mif1,heic", "heic,heic"})
  void aPictureIsNoFilm(String brand, String what) {
    assertThat(ClipFormat.of(film(brand, 64))).as(what).isEmpty();
  }

  @Test
  void whatItIsItsBytesSay() {
    assertThat(ClipFormat.of(film("isom", 64))).contains(ClipFormat.MP4);
    assertThat(ClipFormat.of(film("qt  ", 64))).contains(ClipFormat.MOV);
    byte[] webm = ("\u001aE\u00df\u00a3\u009fB\u0086\u0081\u0001B\u0082\u0084webm").getBytes(StandardCharsets.ISO_8859_1);
    assertThat(ClipFormat.of(webm)).contains(ClipFormat.WEBM);
    assertThat(ClipFormat.of("\u001aE\u00df\u00a3 matroska".getBytes(StandardCharsets.ISO_8859_1))).isEmpty();
    assertThat(ClipFormat.of(new byte[0])).isEmpty();
    assertThat(ClipFormat.of("<html><script>".getBytes(StandardCharsets.US_ASCII))).isEmpty();
  }

  @Test
  void whatIsNoFilmIsToldAtItsFirstPieceAndDropped(TestApp app) {
    Filming filming = Filming.of(app, "Clip Three");
    filming.begin(2_000_000);
    HttpResponse<String> answer = filming.piece(0, "Dear diary, today I lifted.".getBytes(StandardCharsets.UTF_8));
    assertThat(answer.statusCode()).isEqualTo(422);
    assertThat(answer.body()).contains("MP4, WebM or MOV is wanted, whatever it is called.");
    assertThat(filming.coach().get("/clips/uploads/" + filming.key()).statusCode()).as("nothing is left of it").isEqualTo(404);
  }

  @ParameterizedTest
  @CsvSource({"1,1 kB", "22267,22 kB", "1048575,1024 kB", "1048576,1.0 MB", "4300000,4.1 MB", "188743680,180 MB"})
  void isToldInWhatAPersonReads(long bytes, String size) {
    assertThat(ClipUploads.size(bytes)).isEqualTo(size);
  }

  @Test
  void hasItsBounds(TestApp app) {
    Filming filming = Filming.of(app, "Clip Four");
    assertThat(filming.begin(3L << 30).body()).contains("A clip may have at most 200 MB; this one has 3072 MB.");
    assertThat(filming.begin(0).body()).contains("There is nothing in this file.");
    assertThat(filming.begin(-1).statusCode()).isEqualTo(422);
    assertThat(filming.begin(100).statusCode()).isEqualTo(200);
    assertThat(filming.piece(0, film("isom", 101)).body()).contains("More came than was told.");
    filming.begin(6 << 20);
    assertThat(filming.piece(0, film("isom", (4 << 20) + 1)).statusCode()).isEqualTo(413);
    assertThat(filming.piece(-1, film("isom", 100)).statusCode()).isEqualTo(413);
    for (int i = 0; i < 20; i++) {
      new Filming(app, filming.coach(), filming.session(), UUID.randomUUID()).begin(100);
    }
    assertThat(new Filming(app, filming.coach(), filming.session(), UUID.randomUUID()).begin(100).body()).contains("20 clips on their way already");
  }

  @Test
  void aClubHasItsRoom(TestApp app) {
    Filming filming = Filming.of(app, "Clip Five");
    app.jdbc().sql("update club set clip_quota_mb = 1 where id = (select club_id from training_session where id = :s)").param("s",
        filming.session()).update();
    try {
      assertThat(filming.begin(2 << 20).body()).contains("of 1.0 MB: this one (2.0 MB) has no room.");
    } finally {
      app.jdbc().sql("update club set clip_quota_mb = 5120").update();
    }
  }

  @Test
  void aCoachGivesRoomAndDaysAndIsToldWhatGoes(TestApp app) {
    Filming filming = Filming.of(app, "Clip Eight");
    filming.begin(100);
    filming.piece(0, film("isom", 100));
    app.jdbc().sql("update clip set added_at = added_at - interval '60 days' where id = :id").param("id", filming.clip()).update();
    assertThat(filming.coach().post("/clips", Map.of("quota", "x", "days", "3")).body()).contains("The room in MB must be a whole number",
        "The days must be a whole number from 7 to 3650 but was 3.");
    String asked = filming.coach().post("/clips", Map.of("quota", "5120", "days", "30")).body();
    assertThat(asked).containsPattern("[0-9]+ clips? (is|are) older than that and would go for good").contains("name=\"sure.days\"");
    try {
      filming.coach().post("/clips", Map.of("quota", "5120", "days", "65"));
      assertThat(filming.coach().get("/clips").body()).contains("Clip Eight", "goes on ", "value=\"65\"");
      filming.coach().post("/clips", Map.of("quota", "5120", "days", "30", "sure.days", "30"));
      assertThat(filming.coach().get("/clips").body()).contains("value=\"30\"");
      assertThat(Client.of(app, "maren").get("/clips").statusCode()).isEqualTo(403);
    } finally {
      app.jdbc().sql("update club set clip_days = 365").update();
    }
  }

  @Test
  void anothersClipIsNotThere(TestApp app) {
    Filming filming = Filming.of(app, "Clip Six");
    Client maren = Client.of(app, "maren");
    assertThat(maren.post("/sessions/" + filming.session() + "/clips", Map.of("key", filming.key().toString(), "bytes", "100")).statusCode())
        .isEqualTo(404);
    filming.begin(100);
    assertThat(maren.put("/clips/uploads/" + filming.key() + "?at=0", film("isom", 100)).statusCode()).isEqualTo(404);
    assertThat(maren.get("/clips/uploads/" + filming.key()).statusCode()).isEqualTo(404);
    filming.piece(0, film("isom", 100));
    assertThat(maren.get("/clips/" + filming.clip()).statusCode()).isEqualTo(404);
    assertThat(maren.get("/sessions/" + filming.session() + "/clips").statusCode()).isEqualTo(404);
    assertThat(maren.post("/clips/" + filming.clip() + "/out", Map.of()).statusCode()).isEqualTo(404);
    assertThat(Client.of(app, "coach").get("/clips/" + filming.clip()).statusCode()).isEqualTo(200);
  }

  /** By the page itself, whose form must bring its token. */
  @Test
  void roomAndDaysAreSetFromTheirPage(TestApp app, Browser browser) {
    browser.signIn("coach").desk().open("/clips");
    room(browser, "-5");
    browser.awaitText("main .field-error", "The room in MB must be a whole number");
    assertThat(browser.find("input[name=quota]").getDomProperty("value")).as("nothing typed is lost").isEqualTo("-5");
    room(browser, "6000");
    browser.awaitText("main", "of 6000 MB");
    room(browser, "5120");
    browser.awaitText("main", "of 5120 MB");
  }

  private static void room(Browser browser, String typed) {
    WebElement field = browser.await("input[name=quota]");
    field.clear();
    field.sendKeys(typed);
    browser.press("main .btn-main");
  }

  @Test
  void standsAmongTheNewestAndBesideOthersOfItsLift(TestApp app) {
    Filming filming = Filming.of(app, "Clip Newest");
    filming.begin(100);
    filming.piece(0, film("isom", 100));
    long clip = filming.clip();
    assertThat(filming.coach().get("/clips").body()).contains("/clips/" + clip + "/review").contains("Clip Newest");
    Filming other = Filming.of(app, "Clip Elsewhere");
    other.begin(101);
    other.piece(0, film("isom", 101));
    assertThat(other.coach().get("/clips/" + other.clip() + "/review").body()).as("others are of the same lifter").doesNotContain("Beside it");
    filming.coach().post("/clips/" + clip + "/out", Map.of("out", "true"));
    assertThat(filming.coach().get("/clips").body()).doesNotContain("/clips/" + clip + "/review");
    assertThat(Client.of(app, "maren").get("/clips").statusCode()).isEqualTo(403);
  }

  @Test
  void whatIsTakenOutCanBePutBackUntilItGoes(TestApp app) {
    Filming filming = Filming.of(app, "Clip Seven");
    byte[] film = film("isom", 777);
    filming.begin(film.length);
    filming.piece(0, film);
    String path = "/clips/" + filming.clip();
    filming.coach().post(path + "/out", Map.of("out", "true"));
    assertThat(filming.coach().get(path).statusCode()).isEqualTo(404);
    assertThat(filming.coach().get("/sessions/" + filming.session() + "/clips").body()).contains("Taken out. It goes for good in a week.", "Put it back");
    filming.coach().post(path + "/out", Map.of("out", "false"));
    assertThat(filming.coach().bytes(path).body()).isEqualTo(film);
    app.jdbc().sql("update clip set added_at = added_at - interval '355 days' where id = :id").param("id", filming.clip()).update();
    assertThat(filming.coach().get("/sessions/" + filming.session() + "/clips").body()).as("said before").contains("goes on ");
    app.bean(Clips.class).letGo();
    assertThat(filming.coach().bytes(path).statusCode()).isEqualTo(200);
    app.jdbc().sql("update clip set added_at = added_at - interval '11 days' where id = :id").param("id", filming.clip()).update();
    long club = app.jdbc().sql("select club_id from clip where id = :id").param("id", filming.clip()).query(Long.class).single();
    String sha256 = app.jdbc().sql("select sha256 from clip where id = :id").param("id", filming.clip()).query(String.class).single();
    app.bean(Clips.class).letGo();
    assertThat(filming.coach().get(path).statusCode()).isEqualTo(404);
    assertThat(app.bean(ClipStore.class).kept(club, sha256)).doesNotExist();
  }

  /** Chosen on a phone without signal, and sent when it is back: by the real input. */
  @Test
  void aPhoneKeepsItUntilThereIsSignal(TestApp app, Browser browser, @TempDir Path folder) throws Exception {
    Path file = folder.resolve("set.mp4");
    Files.write(file, film("isom", 2_500_000));
    Path text = folder.resolve("notes.mp4");
    Files.writeString(text, "not a film at all");
    long session = app.session("Tamsin", TestApp.TODAY);
    browser.signIn("tamsin").phone().card(session);
    // the phone keeps it ahead, and again whenever its loads have moved: the number is whatever stands then
    browser.awaitText(".card-head", "card ");
    browser.offline(true);
    try {
      browser.find(".panel:not([hidden]) input.add-clip").sendKeys(file.toString());
      browser.awaitText("#clip-note", "1 clip is kept on this phone");
      browser.find(".panel:not([hidden]) input.add-clip").sendKeys(text.toString());
      browser.awaitText("#clip-note", "2 clips are kept on this phone");
      browser.press(".menu-open");
      browser.press("form.who button");
      browser.awaitText("#sign-out-question", "2 clips on this phone are not written down yet. Signing out drops them.");
      browser.press("#sign-out-stay");
    } finally {
      browser.offline(false);
    }
    browser.awaitText("#clip-box", "MP4, WebM or MOV is wanted");
    browser.press("#clip-box .link");
    browser.press("#part-clips summary");
    browser.awaitText("#part-clips", "2.4 MB");
    assertThat(app.jdbc().sql("select bytes || ' ' || set_number from clip where session_id = :s").param("s", session).query(String.class).list())
        .containsExactly("2500000 1");
    browser.find("#part-clips input.add-clip").sendKeys(file.toString());
    browser.await("#part-clips li:nth-child(2)");
    assertThat(app.jdbc().sql("select count(*) from clip where session_id = :s and line is null").param("s", session).query(Long.class).single())
        .as("one of the whole session").isEqualTo(1);
    assertThat(browser.axe()).isEmpty();
  }
}
