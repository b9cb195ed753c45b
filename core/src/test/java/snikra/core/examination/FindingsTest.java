package snikra.core.examination;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.InputStream;
import java.util.Properties;
import org.junit.jupiter.api.Test;
import snikra.core.examination.Verdict.Finding;

class FindingsTest {
  @Test
  void aFindingIsACodeWhatItIsOfAndASentence() {
    Finding finding = Findings.of("number", "number-contradicts", true, "Handle", "3", "stag");
    assertThat(finding.code()).isEqualTo("number-contradicts");
    assertThat(finding.about()).containsExactly("Handle", "3", "stag");
    assertThat(finding.text()).isEqualTo("Handle 3 says stag; that is not what is there");
    assertThat(finding.conflict()).isTrue();
  }

  @Test
  void sharesAreToldInHundredths() {
    Finding finding = Findings.of("blades", "blade-left", false, 0.846, 2, 0.8, 0.9);
    assertThat(finding.text()).isEqualTo("85% of blade 2 is left (80 to 90).");
  }

  @Test
  void whatWasTypedIsNoPattern() {
    Finding finding = Findings.of("pattern", "closed-length-unusual", false, "{0} 'quoted' {1}");
    assertThat(finding.text()).startsWith("{0} 'quoted' {1} closed: no pattern");
  }

  @Test
  void aFindingWithoutASentenceIsAMistakeOfOurs() {
    assertThatThrownBy(() -> Findings.of("marks", "no-such-code", false))
        .hasMessageContaining("no-such-code");
  }

  @Test
  void everySentenceIsFilledAndHoldsNoDoubledApostrophe() throws Exception {
    Properties sentences = new Properties();
    try (InputStream in = Findings.class.getResourceAsStream("findings.properties")) {
      sentences.load(in);
    }
    assertThat(sentences).isNotEmpty();
    for (String code : sentences.stringPropertyNames()) {
      String text = Findings.of("x", code, false, "a", "b", "c", "d", "e").text();
      assertThat(text).as(code).isNotBlank().doesNotContain("{").doesNotContain("''");
    }
  }
}
