package snikra.formats;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import snikra.core.dating.DatingVerdict;
import snikra.core.examination.Examiner;
import snikra.core.examination.WhatChanged;
import snikra.core.examination.WhatChanged.Learned;
import snikra.core.specimen.Specimen;

class WhatChangedTest {
  private static final Examiner EXAMINER = new Examiner(ShippedShelf.load(), 2026);

  private static Specimen knife(String json) {
    return SpecimenFormat.read(json, EXAMINER.shelf());
  }

  private static List<Learned> between(String before, String after) {
    return WhatChanged.between(knife(before), knife(after), EXAMINER.shelf());
  }

  private static List<String> because(String before, String after) {
    DatingVerdict dated = EXAMINER.examine(knife(after)).dating();
    return WhatChanged.because(between(before, after), dated);
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "{\"frame\":\"canoe\"} | Outline | Canoe",
        "{\"bolsters\":\"both-ends\"} | Bolsters | bolsters at both ends",
        "{\"springs\":2} | Springs | 2",
        "{\"closedLength\":\"3 5/8 in\"} | Closed length | 3 5/8 in",
        "{\"blades\":[{\"type\":\"pen\"}]} | Main blade | Pen blade",
        "{\"blades\":[{}]} | Main blade | there",
        "{\"frame\":{\"value\":\"canoe\",\"sureness\":\"likely\",\"or\":{\"teardrop\":0.3}}} |"
            + " Outline | Canoe or Teardrop, likely",
        "{\"blades\":[{},{\"seen\":{\"half_stop\":\"half-stop\"}}]} | Blade 2, half stop | Stops half open",
        "{\"blades\":[{\"end\":{\"value\":\"B\",\"sureness\":\"likely\"},\"type\":\"pen\"}]} |"
            + " Main blade, end | B, likely",
        "{\"blades\":[{\"type\":\"pen\",\"presses\":\"cannot-tell\"}]} | Main blade, springs |"
            + " cannot tell",
        "{\"blades\":[{\"type\":\"pen\",\"length\":\"50 mm\"}]} | Main blade, length | 50 mm",
        "{\"number\":\"37/43\"} | Number | 37/43",
        "{\"codes\":[{\"sign\":\"bar\",\"written\":\"7\"}]} | Date codes | bar 7",
        "{\"registered\":[{\"table\":\"us-patent\",\"number\":\"1\"}]} | Patents and designs |"
            + " us-patent 1",
        "{\"seen\":{\"spacer\":\"plastic\"}} | Spacer at the tail | Plastic",
        "{\"condition\":{\"snap\":{\"value\":\"weak\",\"sureness\":\"unsure\"}}} | Walk and talk |"
            + " Weak, unsure",
        "{\"story\":[{\"kind\":\"held\",\"date\":\"1917\",\"source\":\"family\"}]} | Story |"
            + " held 1917",
        "{\"measured\":{\"gap\":[\"0.2 mm\"]}} | Widest gap | 0.2 mm"
      })
  void whatIsNewIsToldInWords(String after, String label, String text) {
    assertThat(between("{}", after))
        .anySatisfy(
            c -> {
              assertThat(c.label()).isEqualTo(label);
              assertThat(c.before()).isNull();
              assertThat(c.after()).isEqualTo(text);
            });
  }

  @Test
  void whatIsTheSameIsNotTold() {
    String knife = "{\"frame\":\"canoe\",\"seen\":{\"spacer\":\"plastic\"}}";
    assertThat(between(knife, knife)).isEmpty();
    assertThat(between(knife, knife.replace("canoe", "teardrop")))
        .containsExactly(new Learned("frame", "Outline", "Canoe", "Teardrop"));
  }

  @Test
  void whatIsTakenBackIsToldAsSuch() {
    assertThat(between("{\"number\":\"37/43\"}", "{}"))
        .containsExactly(new Learned("number", "Number", "37/43", null));
  }

  @Test
  void aMarkIsToldByItsPlaceAndItsLines() {
    String mark =
        "{\"marks\":[{\"blade\":2,\"face\":\"pile\",\"state\":\"read\",\"lines\":[\"ORB_\",\"H*\"]}]}";
    Learned learned = between("{}", mark).get(0);
    assertThat(learned.label()).isEqualTo("Mark, blade 2, pile");
    assertThat(learned.after()).isEqualTo("read ORB_ / H*");
    assertThat(learned.feature()).isEqualTo("marks");
  }

  @Test
  void whatAMarkDidIsTheMakerItNames() {
    String mark =
        "{\"marks\":[{\"blade\":1,\"face\":\"mark\",\"state\":\"read\",\"lines\":[\"VELDRAKE\",\"TARNMOOR FALLS\"]}]}";
    assertThat(because("{}", mark).get(0)).startsWith("The mark is that of Veldrake Knife Works, ");
    assertThat(because(mark, mark.replace("}]}", "}],\"number\":\"3\"}")))
        .noneMatch(s -> s.startsWith("The mark"));
  }

  @Test
  void whatALookDidIsYearsAndAReason() {
    assertThat(because("{}", "{\"seen\":{\"spacer\":\"plastic\"}}").get(0))
        .matches("Spacer at the tail, plastic: \\d+ years later\\. Moulded.*");
    assertThat(because("{}", "{\"bolsters\":\"both-ends\"}")).isEmpty();
  }

  @Test
  void whatACodeDidIsToldThoughItIsAStatement() {
    String patent = "{\"registered\":[{\"table\":\"us-patent\",\"number\":\"2345678\"}]}";
    assertThat(because("{}", patent).get(0)).contains("years later");
  }
}
