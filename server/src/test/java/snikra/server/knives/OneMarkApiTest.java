package snikra.server.knives;

import static org.assertj.core.api.Assertions.assertThat;
import static org.hamcrest.Matchers.contains;
import static org.hamcrest.Matchers.greaterThan;
import static org.hamcrest.Matchers.lessThan;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import java.util.Arrays;
import java.util.stream.Collectors;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.ResultActions;
import snikra.formats.SpecimenFormat;
import snikra.server.TestApp;
import snikra.server.reference.ReferenceDesk;

/** A mark that no single knife gives, out of three. */
class OneMarkApiTest {
  @RegisterExtension static final TestApp APP = new TestApp();
  private final MockMvc web = APP.web();
  private final KnifeService knives = APP.bean(KnifeService.class);
  private final ReferenceDesk desk = APP.bean(ReferenceDesk.class);

  @AfterEach
  void theTrayIsEmptyAgain() {
    knives.all().forEach(k -> knives.delete(k.id()));
  }

  private SavedKnife knife(String lines, String seen) {
    String mark =
        lines.isEmpty()
            ? ""
            : "{\"blade\":1,\"face\":\"mark\",\"state\":\"read\",\"technique\":\"struck\",\"lines\":["
                + lines
                + "]}";
    return knives.add(
        SpecimenFormat.read(
            "{\"seen\":{%s},\"marks\":[%s]}".formatted(seen, mark), desk.examiner().shelf()));
  }

  private ResultActions of(SavedKnife... all) throws Exception {
    return web.perform(
        get(
            "/api/knives/one-mark?of="
                + Arrays.stream(all).map(SavedKnife::id).collect(Collectors.joining(","))));
  }

  private static final String CELLULOID =
      "\"handle_material\":{\"value\":\"celluloid\",\"sureness\":\"sure\"}";

  private static final String ACETAL = "{\"value\":\"acetal\",\"sureness\":\"sure\"}";

  @Test
  void itsLettersAndYearsComeFromAllOfThemAndFillInASlip() throws Exception {
    SavedKnife one = knife("\"GR_M_L_VE\",\"SK_LBY\"", CELLULOID);
    SavedKnife two = knife("\"_RIM_LO_E\"", CELLULOID);
    SavedKnife three = knife("\"G_I_BLO_E\",\"_KEL_Y\"", "");
    of(one, two, three)
        .andExpect(status().isOk())
        .andExpect(
            jsonPath("$.numbers").value(contains(one.number(), two.number(), three.number())))
        .andExpect(jsonPath("$.mark.lines[*].text").value(contains("GRIMBLOVE", "SKELBY")))
        .andExpect(jsonPath("$.mark.lines[0].letters[0].chance").value(greaterThan(0.99)))
        .andExpect(jsonPath("$.mark.lines[1].strikes[1]").doesNotExist())
        .andExpect(jsonPath("$.mark.era.within.from").value(greaterThan(1850)))
        .andExpect(jsonPath("$.mark.slip.lines").value(contains("GRIMBLOVE", "SKELBY")))
        .andExpect(jsonPath("$.mark.slip.sourceKind").value("own-knives"))
        .andExpect(
            jsonPath("$.mark.slip.note")
                .value(
                    "On my knives No. %d, No. %d, No. %d."
                        .formatted(one.number(), two.number(), three.number())));
  }

  @Test
  void whereNothingElseWasLookedAtTheYearsStayOpen() throws Exception {
    of(knife("\"GRIMB_OVE\"", ""), knife("\"GRI_BLOVE\"", ""))
        .andExpect(jsonPath("$.mark.lines[0].text").value("GRIMBLOVE"))
        .andExpect(jsonPath("$.mark.era").doesNotExist())
        .andExpect(jsonPath("$.mark.slip.from").doesNotExist());
  }

  @Test
  void oneKnifeAloneOrOneWithoutLettersIsRefused() throws Exception {
    SavedKnife one = knife("\"GRIMBLOVE\"", "");
    of(one)
        .andExpect(status().isBadRequest())
        .andExpect(jsonPath("$.problems[0].given").value("1 knives"));
    SavedKnife bare = knife("", "");
    of(one, bare)
        .andExpect(status().isBadRequest())
        .andExpect(jsonPath("$.problems[0].given").value("No. " + bare.number()));
  }

  @Test
  void withMoreKnivesTheYearsCloseIn() throws Exception {
    SavedKnife one = knife("\"GRIMBLOVE\"", CELLULOID);
    SavedKnife two = knife("\"GRIMBLOVE\"", CELLULOID);
    SavedKnife three = knife("\"GRIMBLOVE\"", CELLULOID);
    int few = years(of(one, two));
    of(one, two, three).andExpect(jsonPath("$.mark.slip.give").value(lessThan(60)));
    assertThat(years(of(one, two, three))).isLessThanOrEqualTo(few);
  }

  @Test
  void aKnifeOfAnotherMarkCountsNothing() throws Exception {
    SavedKnife one = knife("\"GRIMBLOVE\",\"SKELBY\"", CELLULOID);
    SavedKnife two = knife("\"GRIMB_OVE\",\"SK_LBY\"", CELLULOID);
    SavedKnife other = knife("\"ZWICKEL\",\"HUNTA\",\"IXWUP\"", "\"handle_material\":" + ACETAL);
    String alone = era(of(one, two).andExpect(jsonPath("$.strangers").isEmpty()));
    String among =
        era(
            of(other, one, two)
                .andExpect(jsonPath("$.strangers").value(contains(other.number())))
                .andExpect(jsonPath("$.mark.lines[*].text").value(contains("GRIMBLOVE", "SKELBY")))
                .andExpect(
                    jsonPath("$.mark.slip.note")
                        .value(
                            "On my knives No. %d, No. %d.".formatted(one.number(), two.number()))));
    assertThat(among).isEqualTo(alone);
    assertThat(era(of(one, knife("\"GRIMBLOVE\"", "\"handle_material\":" + ACETAL))))
        .isNotEqualTo(era(of(one, two)));
  }

  private static String era(ResultActions told) throws Exception {
    String json = told.andReturn().getResponse().getContentAsString();
    return com.jayway.jsonpath.JsonPath.read(json, "$.mark.era").toString();
  }

  private static int years(ResultActions told) throws Exception {
    String json = told.andReturn().getResponse().getContentAsString();
    int from = com.jayway.jsonpath.JsonPath.read(json, "$.mark.era.within.from");
    int to = com.jayway.jsonpath.JsonPath.read(json, "$.mark.era.within.to");
    return to - from;
  }
}
