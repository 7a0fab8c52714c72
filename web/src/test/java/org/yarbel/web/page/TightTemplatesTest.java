package org.yarbel.web.page;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;

class TightTemplatesTest {
  @Test
  void aTagIsOneLineWhateverItsValuesHold() {
    assertThat(TightTemplates.tight("<p\n    th:if=\"${a > b}\"\n    class='x'>text</p>"))
        .isEqualTo("<p th:if=\"${a > b}\" class='x'>text</p>");
  }

  @Test
  void aSentenceIsOneLineAndNoWordsRunTogether() {
    assertThat(TightTemplates.tight("<p>What you typed\n        is still there.</p>\n<p>Second</p>"))
        .isEqualTo("<p>What you typed is still there.</p>\n<p>Second</p>");
  }

  @Test
  void betweenTagsNothingIsTaken() {
    assertThat(TightTemplates.tight("<ul>\n  <li>one</li>\n  <li>two\n  </li>\n</ul>"))
        .isEqualTo("<ul>\n  <li>one</li>\n  <li>two\n  </li>\n</ul>");
  }
}
