package org.yarbel.web.platform;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.util.HashMap;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.yarbel.web.support.Client;
import org.yarbel.web.support.Someone;
import org.yarbel.web.support.TestApp;

/** Attempts as they are entered, by one phone and by two. */
@ExtendWith(TestApp.class)
class PlatformTest {

  @Test
  void anAttemptIsHandedInLiftedAndFollowedByChoicesWithTheirOdds(TestApp app) {
    Meet meet = Meet.of(app, "Aldous Firth");
    assertThat(meet.coach().get(meet.platform()).body()).contains("Hand in attempt 1", "As expected", "no contest to learn from yet", "not weighed in");
    assertThat(meet.send(Meet.entry("squat", 1, "177.5", "")).body()).contains("177.5", "1 change left", "25 25 25 1.25 a side", "Good", "No lift");
    String after = meet.send(Meet.lifted("squat", 1, "177.5", "good")).body();
    assertThat(after).contains("Attempt 1, 177.5 good", "Hand in attempt 2", "made nine times in ten", "made as often as missed", "subtotal");
    assertThat(meet.stands("squat")).containsExactly("177.5 kg good");
    Map<String, String> look = Meet.lifted("squat", 1, "177.5", "good");
    look.put("seen", "177.5 kg good");
    look.put("look", "LIMIT");
    meet.send(look);
    assertThat(meet.stands("squat")).containsExactly("177.5 kg good look=LIMIT");
    assertThat(meet.table()).contains("squat 1: 177.5 kg handed in", "squat 1: 177.5 kg good, looked at the limit");
  }

  @Test
  void theSameEntryTwiceIsOneAndSoIsTheSameResultOfTwoPhones(TestApp app) {
    Meet meet = Meet.of(app, "Barnaby Thwaite");
    Map<String, String> first = Meet.entry("squat", 1, "170", "");
    assertThat(meet.send(first).statusCode()).isEqualTo(200);
    assertThat(meet.send(first).statusCode()).as("the same key again").isEqualTo(200);
    assertThat(meet.send(Meet.entry("squat", 1, "170", "")).statusCode()).as("another phone says the same").isEqualTo(200);
    assertThat(meet.send(Meet.lifted("squat", 1, "170", "good")).statusCode()).isEqualTo(200);
    assertThat(meet.send(Meet.lifted("squat", 1, "170", "good")).statusCode()).as("and the same light").isEqualTo(200);
    assertThat(meet.stands("squat")).containsExactly("170 kg good");
    assertThat(meet.table().split("Undo: Barnaby Thwaite, squat 1").length - 1).as("entries on record").isEqualTo(2);
  }

  @Test
  void whereTwoPhonesDifferTheSecondIsAskedAndDecides(TestApp app) {
    Meet meet = Meet.of(app, "Cuthbert Dene");
    meet.send(Meet.entry("squat", 1, "170", ""));
    meet.send(Meet.lifted("squat", 1, "170", "good"));
    HttpResponse<String> other = meet.send(Meet.lifted("squat", 1, "170", "missed"));
    assertThat(other.statusCode()).isEqualTo(409);
    assertThat(other.body()).contains("It stands as squat 1: 170 kg good, by ", "Put mine in its place: 170 kg not good", "Leave it");
    assertThat(meet.stands("squat")).as("nothing is changed yet").containsExactly("170 kg good");
    Map<String, String> mine = Meet.lifted("squat", 1, "170", "missed");
    mine.put("seen", "170 kg good");
    assertThat(meet.send(mine).statusCode()).isEqualTo(200);
    assertThat(meet.stands("squat")).containsExactly("170 kg missed");
    meet.send(Meet.entry("squat", 2, "170", ""));
    assertThat(meet.send(Meet.entry("squat", 2, "175", "")).body()).as("two loads handed in").contains("squat 2: 170 kg handed in");
  }

  @Test
  void whatTheRulesDoNotAllowIsSaidAndTheLoadStaysTyped(TestApp app) {
    Meet meet = Meet.of(app, "Digory Holm");
    refused(meet, Meet.entry("squat", 1, "171", ""), "Attempts go by 2.5 kg, so 171 kg cannot be asked for; a record may go by 0.5 kg.", "171");
    refused(meet, Meet.entry("squat", 1, "20", ""), "The bar with its collars is 25 kg already.", "20");
    refused(meet, Meet.entry("squat", 2, "170", ""), "Attempt 1 comes first.", "170");
    refused(meet, Meet.entry("squat", 1, "seventy", ""), "Write the mass as a number in kg", "seventy");
    refused(meet, Meet.entry("squat", 1, "9999", ""), "The mass must be at most 1000 kg", "9999");
    refused(meet, Meet.entry("curl", 1, "50", ""), "That lift is not contested here.", "50");
    Map<String, String> light = Meet.entry("squat", 1, "170", "");
    light.put("look", "EASY");
    refused(meet, light, "Say first whether it was good.", "170");
    Map<String, String> lights = Meet.lifted("squat", 1, "170", "good");
    lights.put("whites", "1");
    refused(meet, lights, "An attempt is good with two or three white lights of three, and only then.", "170");
    meet.send(Meet.entry("squat", 1, "170", ""));
    assertThat(meet.send(Meet.entry("squat", 1, "172.5", "170 kg")).statusCode()).as("one change of the opener").isEqualTo(200);
    refused(meet, Meet.entry("squat", 1, "175", "172.5 kg"), "Attempt 1 was changed as often as the rules allow.", "175");
    meet.send(Meet.lifted("squat", 1, "172.5", "good"));
    refused(meet, Meet.entry("squat", 2, "170", ""), "The bar never goes down: the last attempt was 172.5 kg.", "170");
    refused(meet, Meet.entry("squat", 2, "172.5", ""), "172.5 kg was good, so the next is heavier.", "172.5");
    Map<String, String> record = Meet.entry("squat", 2, "173", "");
    record.put("record", "yes");
    assertThat(meet.send(record).statusCode()).isEqualTo(200);
  }

  private static void refused(Meet meet, Map<String, String> entry, String sentence, String typed) {
    HttpResponse<String> answer = meet.send(entry);
    assertThat(answer.statusCode()).as(sentence).isEqualTo(422);
    assertThat(answer.body()).contains(sentence, "value=\"" + typed + "\"");
  }

  @Test
  void theLastDeadliftIsChangedTwiceAndNotAThirdTime(TestApp app) {
    Meet meet = Meet.of(app, "Ezra Lunt");
    for (int number = 1; number <= 2; number++) {
      meet.attempt("deadlift", number, Integer.toString(200 + 10 * number), "good");
    }
    meet.send(Meet.entry("deadlift", 3, "230", ""));
    assertThat(meet.send(Meet.entry("deadlift", 3, "232.5", "230 kg")).body()).contains("1 change left");
    assertThat(meet.send(Meet.entry("deadlift", 3, "235", "232.5 kg")).body()).contains("no change is left");
    assertThat(meet.send(Meet.entry("deadlift", 3, "237.5", "235 kg")).body()).contains("was changed as often as the rules allow");
  }

  @Test
  void anEntryIsUndoneStepByStepAndTheTableFollows(TestApp app) {
    Meet meet = Meet.of(app, "Felix Garth");
    meet.attempt("squat", 1, "170", "good");
    assertThat(meet.table()).contains("<span>170</span>");
    String why = meet.undo("squat 1: 170 kg handed in");
    assertThat(why).contains("wrote: squat 1: 170 kg good. Undo that first.");
    meet.undo("squat 1: 170 kg good");
    assertThat(meet.stands("squat")).containsExactly("170 kg");
    meet.undo("squat 1: 170 kg handed in");
    assertThat(meet.stands("squat")).isEmpty();
    assertThat(meet.table()).contains("undone: squat 1: 170 kg handed in");
    meet.attempt("squat", 1, "172.5", "missed");
    meet.send(Meet.entry("squat", 2, "172.5", ""));
    assertThat(meet.undo("squat 1: 172.5 kg not good")).contains("Attempt 2 stands on it: undo that first.");
  }

  @Test
  void twoMissesAndTheThirdMustBeMadeToStayIn(TestApp app) {
    Meet meet = Meet.of(app, "Gwion Tarn");
    meet.attempt("squat", 1, "190", "missed");
    meet.attempt("squat", 2, "190", "missed");
    assertThat(meet.coach().get(meet.platform()).body()).contains("has to be made to stay in", "the same again");
    meet.attempt("squat", 3, "190", "missed");
    assertThat(meet.table()).contains(">out<");
  }

  @Test
  void aBodyMassOverTheClassStaysAndIsShownAndWithoutOneNoTieIsDecided(TestApp app) {
    Meet meet = Meet.of(app, "Hamo Pell");
    meet.add("Ivor Stead, m, 93, , A, 7\nJoss Beck, m, 93, 92.4, A, 8");
    HttpResponse<String> kept = meet.coach().post(meet.at("/day/" + meet.athlete() + "/person"), Map.of("category", "93", "body", "93.05", "flight", "A",
        "lot", "3", "expected", "", "key", UUID.randomUUID().toString()));
    assertThat(kept.statusCode()).isEqualTo(302);
    assertThat(meet.table()).contains("weighed 93.05 kg, over the class of 93 kg", "no tie is decided: Ivor Stead.", "93.05");
    meet.attempt("squat", 1, "170", "good");
    meet.attempt(meet.rival("Ivor Stead"), "squat", 1, "170", "good");
    assertThat(meet.coach().get(meet.platform()).body()).contains("1st in class, shared");
    assertThat(meet.table()).contains("<td>1=</td>");
    meet.coach().post(meet.at("/day/" + meet.rival("Ivor Stead") + "/person"), Map.of("name", "Ivor Stead", "sex", "m", "category", "93", "body",
        "91.10", "flight", "A", "lot", "7", "expected", "", "key", UUID.randomUUID().toString()));
    assertThat(meet.coach().get(meet.platform()).body()).as("the lighter leads").contains("2nd in class");
    HttpResponse<String> huge = meet.coach().post(meet.at("/day/" + meet.athlete() + "/person"), Map.of("category", "93", "body", "930", "key",
        UUID.randomUUID().toString()));
    assertThat(huge.statusCode()).isEqualTo(422);
    assertThat(huge.body()).contains("The body mass must be from 20 to 300 kg", "value=\"930\"");
  }

  @Test
  void whatPassesSomebodyAndWithWhatSomebodyStillPasses(TestApp app) {
    Meet meet = Meet.of(app, "Idris Moor");
    meet.add("Kit Lowther, m, 93, 92, A, 7");
    long rival = meet.rival("Kit Lowther");
    meet.attempt("squat", 1, "170", "good");
    meet.attempt(rival, "squat", 1, "182.5", "good");
    // 170 lies behind 182.5: 185 passes it; the rival is ahead and passes with nothing
    assertThat(meet.coach().get(meet.platform()).body()).containsPattern("To pass Kit Lowther: 185 kg, \\d+ %");
    meet.attempt("squat", 2, "187.5", "good");
    assertThat(meet.coach().get(meet.platform()).body()).contains("Kit Lowther can still pass with 190 kg");
  }

  @Test
  void aLifterSeesAndEntersTheirOwnAndNobodyElses(TestApp app) {
    Meet meet = Meet.of(app, "Jabez Ryle");
    meet.someone().signsIn("jabez@tarnbrook.example", "tarnbrook-demo");
    Client lifter = Client.signIn(app, "jabez");
    meet.add("Lorne Keld, m, 93, 92, A, 7");
    assertThat(lifter.get(meet.platform()).statusCode()).isEqualTo(200);
    assertThat(meet.send(lifter, meet.athlete(), Meet.entry("squat", 1, "170", "")).statusCode()).isEqualTo(200);
    assertThat(meet.stands("squat")).containsExactly("170 kg");
    long rival = meet.rival("Lorne Keld");
    assertThat(lifter.get(meet.at("/platform/" + rival)).statusCode()).isEqualTo(404);
    assertThat(meet.send(lifter, rival, Meet.entry("squat", 1, "170", "")).statusCode()).isEqualTo(404);
    assertThat(lifter.get(meet.at("/day")).statusCode()).isEqualTo(403);
    Meet other = Meet.of(app, "Kenelm Voss");
    assertThat(lifter.get(other.platform()).statusCode()).as("another contest").isEqualTo(404);
    assertThat(meet.coach().get(other.at("/platform/" + meet.athlete())).statusCode()).as("an athlete of another contest").isEqualTo(404);
    assertThat(lifter.get(meet.platform() + "/odds").body()).contains("\"squat\"", "\"choices\"");
  }

  @Test
  void theTableComesAnewOnlyWhereSomethingWasEntered(TestApp app) {
    Meet meet = Meet.of(app, "Ludo Penn");
    String seen = seen(meet.table());
    assertThat(meet.coach().get(meet.at("/day?seen=" + seen)).statusCode()).isEqualTo(204);
    meet.attempt("squat", 1, "170", "good");
    HttpResponse<String> news = meet.coach().get(meet.at("/day?seen=" + seen));
    assertThat(news.statusCode()).isEqualTo(200);
    assertThat(news.body()).contains("Ludo Penn", "attempt 1, 170 kg, good").doesNotContain("<html");
    assertThat(meet.coach().get(meet.at("/day?seen=" + seen(news.body()))).statusCode()).isEqualTo(204);
    assertThat(meet.coach().get(meet.at("/day?seen=soon")).statusCode()).isEqualTo(404);
    assertThat(meet.coach().get("/contests/999999999/day?seen=0").statusCode()).isEqualTo(404);
  }

  private static String seen(String page) {
    return page.replaceFirst("(?s).*seen=(\\d+).*", "$1");
  }

  @Test
  void aLifterSeesTheNamesOfOthersOfTheClubOnlyWhereTheyLetThem(TestApp app) {
    Meet meet = Meet.of(app, "Leofric Dain");
    meet.someone().signsIn("leofric@tarnbrook.example", "tarnbrook-demo");
    Client lifter = Client.signIn(app, "leofric");
    Someone other = Someone.called(app, "Merrick Vane", Map.of("squat", "200"));
    meet.attempt("squat", 1, "170", "good");
    meet.attempt(meet.with(other), "squat", 1, "182.5", "good");
    assertThat(meet.coach().get(meet.platform()).body()).contains("To pass Merrick Vane: 185 kg");
    assertThat(lifter.get(meet.platform()).body()).contains("To pass one of the club: 185 kg").doesNotContain("Merrick");
    Meet strong = Meet.strongman(app, "Leofwin Dain");
    strong.someone().signsIn("leofwin@tarnbrook.example", "tarnbrook-demo");
    strong.with(other);
    Client strongman = Client.signIn(app, "leofwin");
    assertThat(strongman.get(strong.platform()).body()).contains("one of the club").doesNotContain("Merrick");
    app.jdbc().sql("update lifter set shows_name = true where id = :id").param("id", other.id()).update();
    assertThat(lifter.get(meet.platform()).body()).contains("To pass Merrick Vane: 185 kg");
    assertThat(strongman.get(strong.platform()).body()).contains("Merrick Vane").doesNotContain("one of the club");
  }

  @Test
  void athletesComeAsALineEachAndWhatCannotBeReadIsSaid(TestApp app) {
    Meet meet = Meet.of(app, "Lambert Cray");
    assertThat(meet.add("Name;Class;Sex;Body mass\nIda Fennick;76;f;74,8\nMaud Orrin;76;f;75.1").statusCode()).isEqualTo(302);
    assertThat(meet.table()).contains("Ida Fennick", "74.80", "Maud Orrin", "class 76");
    HttpResponse<String> wrong = meet.add("Nan Ferris, x, 76\nOlwen Tate, f, 76, 7000");
    assertThat(wrong.statusCode()).isEqualTo(422);
    assertThat(wrong.body()).contains("Nothing was added yet.", "Line 1: The sex is m or f.", "Line 2: The mass must be at most 1000 kg",
        "Nan Ferris, x, 76");
    assertThat(meet.add("").body()).contains("Write a line for each");
    StringBuilder many = new StringBuilder();
    for (int nth = 0; nth < 201; nth++) {
      many.append("Somebody ").append(nth).append('\n');
    }
    assertThat(meet.add(many.toString()).body()).contains("At most 200 athletes and 2000 lines are read at once.");
    meet.attempt(meet.rival("Maud Orrin"), "squat", 1, "100", "good");
    assertThat(meet.table()).doesNotContain("Maud Orrin, Maud Orrin").contains("Maud Orrin, squat 1: 100 kg good");
    assertThat(meet.undo("Maud Orrin added")).contains("Something of them is entered: undo that first.", "75.10");
    meet.undo("squat 1: 100 kg good");
    meet.undo("squat 1: 100 kg handed in");
    assertThat(meet.undo("Maud Orrin added")).doesNotContain("<a href=\"/contests/" + meet.contest() + "/day?athlete=" + 0);
    assertThat(meet.table()).doesNotContain("75.10");
  }

  @Test
  void theFileOfADayComesInAgainAndWhatStandsIsNotChanged(TestApp app) {
    Meet meet = Meet.of(app, "Morcant Ivers");
    meet.add("Nan Ferris, f, 76, 75.2, A, 4, 402.5");
    long nan = meet.rival("Nan Ferris");
    meet.attempt(nan, "squat", 1, "110", "good");
    meet.attempt(nan, "squat", 2, "117.5", "missed");
    meet.send(meet.coach(), nan, Meet.entry("squat", 3, "117.5", ""));
    String csv = meet.coach().get(meet.at("/summary.csv")).body();
    Meet other = Meet.of(app, "Nerys Oake");
    other.add(csv);
    assertThat(other.table()).contains("Nan Ferris", "attempt 1, 110 kg, good", "attempt 2, 117.5 kg, missed", "attempt 3, 117.5 kg, handed in");
    other.add(csv);
    assertThat(other.table()).contains("0 athletes added, 0 attempts entered.");
    assertThat(other.coach().get(other.at("/summary.csv")).body()).as("once, however often it comes").isEqualTo(csv);
    assertThat(other.add("name,class,lift,attempt,load,result\nNan Ferris,76,Squat,1,112.5,good\nNan Ferris,76,Squat,9,115,").statusCode()).isEqualTo(302);
    assertThat(other.table()).contains("Not taken: Nan Ferris, Squat 1: It stands as 110 kg good, and the list says 112.5 kg good.",
        "Nan Ferris, Squat 9: A lift has 3 attempts here.");
    assertThat(other.add("name,lift,attempt,load,result\nNan Ferris,Squat,1,112.5,perhaps").body()).contains("The result is good, no lift or handed in.");
  }

  @Test
  void whatWasDecidedBeforehandStandsAndThePlanFollowsTheAim(TestApp app) {
    Meet meet = Meet.of(app, "Osbert Finch");
    Map<String, String> form = new HashMap<>(Map.of("rack.squat", "14 in", "opener.squat", "172.5", "aim", "TOTAL", "aimLoad", "560", "aimLift", "",
        "aimPlace", ""));
    assertThat(meet.coach().post(meet.platform() + "/prepared", form).statusCode()).isEqualTo(302);
    assertThat(meet.coach().get(meet.platform()).body()).contains("rack 14 in", "value=\"172.5\"").containsPattern(
        "A total of 560 kg: all of its thirds \\d+ %");
    form.putAll(Map.of("aim", "RECORD", "aimLoad", "201", "aimLift", "squat"));
    meet.coach().post(meet.platform() + "/prepared", form);
    assertThat(meet.coach().get(meet.platform()).body()).containsPattern("A record of 201 kg in the squat: \\d+ %").contains("<td>201</td>");
    form.putAll(Map.of("aim", "PLACE", "aimPlace", "1"));
    meet.coach().post(meet.platform() + "/prepared", form);
    assertThat(meet.coach().get(meet.platform()).body()).contains("Place 1: nobody of the class has an expected total yet.");
    meet.add("Ottilie Rook, m, 93, 92, A, 7, 545\nPeregrine Sand, m, 93, 92, A, 8, 570");
    assertThat(meet.coach().get(meet.platform()).body()).contains("1st in class with 572.5 kg");
    form.put("aimPlace", "2");
    meet.coach().post(meet.platform() + "/prepared", form);
    assertThat(meet.coach().get(meet.platform()).body()).contains("2nd in class with 547.5 kg");
    for (String[] wrong : new String[][] {{"opener.squat", "171", "Attempts go by 2.5 kg"}, {"rack.squat", "x".repeat(21), "at most 20 characters"},
        {"aimPlace", "", "Write the place, such as 3."}, {"aimPlace", "0", "The place must be a whole number from 1 to 99"}}) {
      Map<String, String> bad = new HashMap<>(form);
      bad.put(wrong[0], wrong[1]);
      HttpResponse<String> refused = meet.coach().post(meet.platform() + "/prepared", bad);
      assertThat(refused.statusCode()).isEqualTo(422);
      assertThat(refused.body()).contains(wrong[2]);
    }
    form.putAll(Map.of("aim", "TOTAL", "aimLoad", "heavy"));
    assertThat(meet.coach().post(meet.platform() + "/prepared", form).body()).contains("Write it in kg, such as 542.5.", "value=\"heavy\"");
    form.put("aimLoad", "2000.5");
    assertThat(meet.coach().post(meet.platform() + "/prepared", form).body()).contains("At most 2000 kg can be.", "value=\"2000.5\"");
  }
}
