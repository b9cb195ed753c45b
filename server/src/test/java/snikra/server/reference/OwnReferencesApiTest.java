package snikra.server.reference;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.hamcrest.Matchers.contains;
import static org.hamcrest.Matchers.containsString;
import static org.hamcrest.Matchers.greaterThan;
import static org.hamcrest.Matchers.hasItem;
import static org.hamcrest.Matchers.hasSize;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.delete;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.put;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import com.jayway.jsonpath.JsonPath;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.springframework.http.MediaType;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.ResultActions;
import snikra.formats.InvalidInput;
import snikra.formats.OwnPack;
import snikra.server.TestApp;
import snikra.server.reference.OwnReferences.FiledStep;

/** A mark goes on file from the bench, and comes off it again. */
class OwnReferencesApiTest {
  private static final String KNIFE =
      """
      {"marks":[{"blade":1,"face":"mark","state":"read","lines":["GRIMBLOVE","TARNSEY"]},
                {"blade":1,"face":"pile","state":"read","lines":["ENGLAND"]}]}
      """;
  private static final String SLIP =
      """
      {"maker":"Grimblove","region":"UK","place":"Tarnsey","lines":["GRIMBLOVE","TARNSEY"],
       "pile":["ENGLAND"],"technique":"struck","everyBlade":false,"from":1903,"to":1921,"give":3,
       "sourceKind":"reference-book","source":"A list of small firms"}
      """;

  @RegisterExtension static final TestApp APP = new TestApp();
  private final MockMvc web = APP.web();
  private final ReferenceDesk desk = APP.bean(ReferenceDesk.class);
  private final OwnReferences own = APP.bean(OwnReferences.class);

  @BeforeEach
  void begin() {
    while (own.steps().stream().anyMatch(s -> !s.undone())) {
      own.undo();
    }
    assertThat(desk.own()).isNull();
  }

  private ResultActions sent(String path, String body) throws Exception {
    return web.perform(
        post("/api/own/" + path).contentType(MediaType.APPLICATION_JSON).content(body));
  }

  private ResultActions file(String slip) throws Exception {
    return sent("marks", "{\"specimen\":" + KNIFE + ",\"slip\":" + slip + "}");
  }

  private ResultActions examined() throws Exception {
    return web.perform(
        post("/api/examine")
            .contentType(MediaType.APPLICATION_JSON)
            .content("{\"specimen\":" + KNIFE + "}"));
  }

  @Test
  void aSlipComesFilledInFromTheKnife() throws Exception {
    sent("slip", "{\"specimen\":" + KNIFE + "}")
        .andExpect(status().isOk())
        .andExpect(jsonPath("$.lines", contains("GRIMBLOVE", "TARNSEY")))
        .andExpect(jsonPath("$.pile", contains("ENGLAND")))
        .andExpect(jsonPath("$.region").value("UK"))
        .andExpect(jsonPath("$.technique").doesNotExist());
    sent("slip", "{\"specimen\":{}}")
        .andExpect(status().isBadRequest())
        .andExpect(jsonPath("$.problems[0].field").value("marks"));
  }

  @Test
  void whatItWouldDoIsToldAndNothingIsKept() throws Exception {
    sent("marks/look", "{\"specimen\":" + KNIFE + ",\"slip\":" + SLIP + "}")
        .andExpect(status().isOk())
        .andExpect(jsonPath("$.problems", hasSize(0)))
        .andExpect(jsonPath("$.filed.isNew").value(true))
        .andExpect(jsonPath("$.filed.before.headline").value(containsString("not on file")))
        .andExpect(jsonPath("$.filed.after.headline").value(containsString("Grimblove")))
        .andExpect(jsonPath("$.filed.after.held").value(greaterThan(0.9)));
    sent("marks/look", "{\"specimen\":" + KNIFE + ",\"slip\":{\"maker\":\"Grimblove\"}}")
        .andExpect(status().isOk())
        .andExpect(jsonPath("$.problems[*].field", hasItem("lines")))
        .andExpect(jsonPath("$.filed").doesNotExist());

    assertThat(desk.own()).isNull();
    assertThat(own.steps()).allMatch(FiledStep::undone);
    examined().andExpect(jsonPath("$.dating.makers[0].maker").doesNotExist());
  }

  @Test
  void onFileItIsHeardAtOnceAndComesOffAgain() throws Exception {
    file(SLIP).andExpect(status().isOk());
    examined().andExpect(jsonPath("$.dating.makers[0].label").value("Grimblove"));
    web.perform(get("/api/own/steps"))
        .andExpect(jsonPath("$[-1].maker").value("Grimblove"))
        .andExpect(jsonPath("$[-1].mark").value("GRIMBLOVE TARNSEY"));

    sent("undo", "").andExpect(jsonPath("$[-1].undone").value(true));
    assertThat(desk.own()).isNull();
    examined().andExpect(jsonPath("$.dating.makers[0].maker").doesNotExist());

    sent("redo", "").andExpect(jsonPath("$[-1].undone").value(false));
    examined().andExpect(jsonPath("$.dating.makers[0].label").value("Grimblove"));
    sent("redo", "").andExpect(status().isBadRequest());
  }

  @Test
  void anyStepsAndThenUndoGiveTheSameBytes() throws Exception {
    file(SLIP);
    String one = desk.own();
    file(SLIP.replace("TARNSEY\"]", "TARNSEY INOX\"]").replace("1903", "1919"));
    String two = desk.own();
    file(SLIP.replace("\"maker\":\"Grimblove\"", "\"maker\":\"Veldrake Knife Works\""));

    own.undo();
    assertThat(desk.own()).isEqualTo(two);
    own.undo();
    assertThat(desk.own()).isEqualTo(one);
    own.redo();
    assertThat(desk.own()).isEqualTo(two);
    file(SLIP.replace("\"maker\":\"Grimblove\"", "\"maker\":\"Grimblove Sons\""));
    assertThat(own.steps()).hasSize(3).noneMatch(FiledStep::undone);
  }

  @Test
  void whatWasChangedSinceIsNotUndone() throws Exception {
    file(SLIP);
    String changed = desk.own().replace("Tarnsey", "Tarnsey Bridge");
    desk.bring("own.yaml", changed, true);

    assertThatThrownBy(own::undo)
        .isInstanceOf(InvalidInput.class)
        .hasMessageContaining("changed since");
    assertThat(desk.own()).isEqualTo(changed);
    desk.bring("own.yaml", changed.replace("Tarnsey Bridge", "Tarnsey"), true);
  }

  @Test
  void whatIsWrongIsToldByItsField() throws Exception {
    file(SLIP.replace("\"GRIMBLOVE\",\"TARNSEY\"]", "\"GRIM_LOVE\"]"))
        .andExpect(status().isBadRequest())
        .andExpect(jsonPath("$.problems[0].field").value("lines[0]"));
    file(SLIP.replace("\"region\":\"UK\",", ""))
        .andExpect(status().isBadRequest())
        .andExpect(jsonPath("$.problems[0].field").value("region"));
    assertThat(desk.own()).isNull();
  }

  @Test
  void aMakerOfAnotherPackIsShownWithWhatIsAdded() throws Exception {
    file(SLIP.replace("\"maker\":\"Grimblove\"", "\"maker\":\"Veldrake Knife Works\""))
        .andExpect(jsonPath("$.isNew").value(false));

    web.perform(get("/api/makers"))
        .andExpect(
            jsonPath(
                "$.packs[0].makers[?(@.id=='veldrake')].marks[*].lines[0]", hasItem("GRIMBLOVE")))
        .andExpect(jsonPath("$.packs[0].sources[*].label", hasItem("A list of small firms")))
        .andExpect(jsonPath("$.packs[?(@.id=='" + OwnPack.ID + "')].added", contains(1)));
  }

  private String ownMark() throws Exception {
    return JsonPath.read(
        web.perform(get("/api/makers")).andReturn().getResponse().getContentAsString(), "$.own[0]");
  }

  @Test
  void aMarkOfOnesOwnIsChangedAndTakenOutWithAWayBackToEachStep() throws Exception {
    file(SLIP).andExpect(status().isOk());
    String put = desk.own();
    String mark = ownMark();
    web.perform(get("/api/own/marks/" + mark))
        .andExpect(jsonPath("$.maker").value("Grimblove"))
        .andExpect(jsonPath("$.from").value(1903))
        .andExpect(jsonPath("$.source").value("A list of small firms"));
    web.perform(
            put("/api/own/marks/" + mark)
                .contentType(MediaType.APPLICATION_JSON)
                .content(SLIP.replace("1903", "1899")))
        .andExpect(status().isOk())
        .andExpect(jsonPath("$.maker").value("Grimblove"));
    web.perform(get("/api/own/marks/" + mark)).andExpect(jsonPath("$.from").value(1899));
    web.perform(delete("/api/own/marks/" + mark)).andExpect(status().isOk());
    web.perform(get("/api/makers")).andExpect(jsonPath("$.own", hasSize(0)));
    assertThat(own.steps())
        .extracting(FiledStep::what)
        .containsExactly("put-on", "changed", "taken-out");
    own.undo();
    web.perform(get("/api/own/marks/" + mark)).andExpect(jsonPath("$.from").value(1899));
    own.undo();
    assertThat(desk.own()).isEqualTo(put);
  }

  @Test
  void aMarkThatIsNotOnesOwnIsRefusedByItsName() throws Exception {
    web.perform(delete("/api/own/marks/ok-straight"))
        .andExpect(status().isBadRequest())
        .andExpect(jsonPath("$.problems[0].field").value("mark"));
    web.perform(
            put("/api/own/marks/ok-straight").contentType(MediaType.APPLICATION_JSON).content(SLIP))
        .andExpect(status().isBadRequest());
  }

  private ResultActions table(String rows, boolean keep) throws Exception {
    return web.perform(
        post("/api/own/marks/table?sourceKind=reference-book&source=A+list&region=UK&keep=" + keep)
            .contentType(MediaType.APPLICATION_OCTET_STREAM)
            .content(rows));
  }

  @Test
  void aTableIsLookedAtPutOnFileInOneStepAndTakenOffInOne() throws Exception {
    String rows =
        """
        maker,mark,years
        Grimblove,GRIMBLOVE / TARNSEY,1903-1921
        Grimblove,GRIMBLOVE,c. 1921-1930
        Ablewhin,ABLEWHIN,to 1941
        """;
    table(rows, false)
        .andExpect(status().isOk())
        .andExpect(jsonPath("$.rows").value(3))
        .andExpect(jsonPath("$.good").value(2))
        .andExpect(jsonPath("$.refused").value(1))
        .andExpect(jsonPath("$.kept").value(0))
        .andExpect(jsonPath("$.read.rows[0].line").value(4))
        .andExpect(jsonPath("$.read.rows[0].problems[0].field").value("years"));
    assertThat(desk.own()).isNull();
    table(rows, true).andExpect(jsonPath("$.kept").value(2));
    web.perform(get("/api/makers")).andExpect(jsonPath("$.own", hasSize(2)));
    assertThat(own.steps()).extracting(FiledStep::many).containsExactly(2);
    examined().andExpect(jsonPath("$.dating.makers[0].label").value("Grimblove"));
    table(rows, false).andExpect(jsonPath("$.known").value(2));
    own.undo();
    assertThat(desk.own()).isNull();
  }

  @Test
  void aKindOfSourceThatIsNotKnownIsToldInTheRow() throws Exception {
    web.perform(
            post("/api/own/marks/table?sourceKind=rumour&source=x&region=UK")
                .contentType(MediaType.APPLICATION_OCTET_STREAM)
                .content("maker,mark,years\nGrimblove,GRIMBLOVE,1903-1921"))
        .andExpect(jsonPath("$.read.rows[0].problems[0].field").value("sourceKind"));
  }
}
