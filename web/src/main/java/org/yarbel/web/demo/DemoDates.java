package org.yarbel.web.demo;

import java.time.LocalDate;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.springframework.jdbc.core.simple.JdbcClient;

/** Moves every date of a club by whole weeks. Plain SQL, which names the club itself. */
final class DemoDates {
  private static final Pattern DAY = Pattern.compile("\"(\\d{4}-\\d{2}-\\d{2})(\\\\?\")");
  private static final List<String> MOVES = List.of(
      "update training_session set day = day + 7 * :weeks where club_id = :club",
      "update logged_set set day = day + 7 * :weeks, logged_at = logged_at + make_interval(weeks => :weeks) where club_id = :club",
      "update tracked_point set day = day + 7 * :weeks where club_id = :club",
      "update lift_numbers set tested_on = tested_on + 7 * :weeks, goal_on = goal_on + 7 * :weeks where club_id = :club",
      "update lift_numbers set standing[2] = standing[2] + 7 * :weeks, standing[4] = standing[4] + 7 * :weeks where club_id = :club "
          + "and standing is not null",
      "update standing_before set numbers[2] = numbers[2] + 7 * :weeks, numbers[4] = numbers[4] + 7 * :weeks where club_id = :club",
      "update progression set starts_on = starts_on + 7 * :weeks, ends_on = ends_on + 7 * :weeks, contest_on = contest_on + 7 * "
          + ":weeks where club_id = :club",
      "update contest set day = day + 7 * :weeks where club_id = :club and day is not null",
      "update contest_entry set weigh_in = weigh_in + 7 * :weeks where club_id = :club and weigh_in is not null",
      "update slot set planned_on = planned_on + 7 * :weeks where club_id = :club and planned_on is not null",
      "update deload_week set monday = monday + 7 * :weeks where club_id = :club",
      "update weigh_in set day = day + 7 * :weeks where club_id = :club",
      "update checked_in set day = day + 7 * :weeks, told_at = told_at + 7 * :weeks * interval '1 day' where club_id = :club",
      "update session_log set lifted_on = lifted_on + 7 * :weeks where club_id = :club and lifted_on is not null",
      "update session_word set said_at = said_at + 7 * :weeks * interval '1 day', read_at = read_at + 7 * :weeks * interval '1 day' "
          + "where club_id = :club",
      "update clip set added_at = added_at + 7 * :weeks * interval '1 day' where club_id = :club",
      "update complaint set since = since + 7 * :weeks, over_on = over_on + 7 * :weeks where club_id = :club",
      "update demo_week set monday = monday + 7 * :weeks where club_id = :club");

  private DemoDates() {}

  static void move(JdbcClient jdbc, long clubId, int weeks) {
    MOVES.forEach(sql -> jdbc.sql(sql).param("weeks", weeks).param("club", clubId).update());
    record Issue(long id, String document) {}
    jdbc.sql("select id, document from card_issue where club_id = :club").param("club", clubId).query(Issue.class).list()
        .forEach(issue -> jdbc.sql("update card_issue set document = :document where club_id = :club and id = :id")
            .param("document", moved(issue.document(), weeks)).param("club", clubId).param("id", issue.id()).update());
    record Document(long id, String document) {}
    jdbc.sql("select id, document from long_plan where club_id = :club").param("club", clubId).query(Document.class).list()
        .forEach(plan -> jdbc.sql("update long_plan set document = :document where club_id = :club and id = :id")
            .param("document", moved(plan.document(), weeks)).param("club", clubId).param("id", plan.id()).update());
    jdbc.sql("select id, skips as document from progression where club_id = :club and skips <> '[]'").param("club", clubId)
        .query(Document.class).list()
        .forEach(method -> jdbc.sql("update progression set skips = :document where club_id = :club and id = :id")
            .param("document", moved(method.document(), weeks)).param("club", clubId).param("id", method.id()).update());
    record Batch(long id, String before, String after) {}
    jdbc.sql("select id, before, after from change where club_id = :club and subject = 'days'").param("club", clubId)
        .query(Batch.class).list()
        .forEach(batch -> jdbc.sql("update change set before = :before, after = :after where club_id = :club and id = :id")
            .param("before", moved(batch.before(), weeks)).param("after", moved(batch.after(), weeks)).param("club", clubId)
                .param("id", batch.id()).update());
  }

  /** The same document with every day in it moved, in documents within it too: the only texts of that shape are days. */
  static String moved(String document, int weeks) {
    return DAY.matcher(document)
        .replaceAll(found -> Matcher.quoteReplacement("\"" + LocalDate.parse(found.group(1)).plusWeeks(weeks) + found.group(2)));
  }
}
