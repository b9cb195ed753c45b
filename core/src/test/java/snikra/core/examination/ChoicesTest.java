package snikra.core.examination;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import snikra.core.examination.Choices.Choice;
import snikra.core.provenance.StoryEvent;
import snikra.core.specimen.End;
import snikra.core.specimen.Face;
import snikra.core.specimen.FaceState;
import snikra.core.specimen.Layout;
import snikra.core.specimen.Presses;
import snikra.core.specimen.Side;
import snikra.core.specimen.Sought;
import snikra.core.specimen.Technique;

class ChoicesTest {
  private static final Choices ALL = Choices.all();

  static Stream<Arguments> listsOfTheFormat() {
    return Stream.of(
        Arguments.of(ALL.end(), End.values()),
        Arguments.of(ALL.presses(), Presses.values()),
        Arguments.of(ALL.side(), Side.values()),
        Arguments.of(ALL.technique(), Technique.values()),
        Arguments.of(ALL.layout(), Layout.values()),
        Arguments.of(ALL.face(), Face.values()),
        Arguments.of(ALL.faceState(), FaceState.values()),
        Arguments.of(ALL.sought(), Sought.values()),
        Arguments.of(ALL.story(), StoryEvent.Kind.values()),
        Arguments.of(ALL.source(), StoryEvent.Source.values()));
  }

  @ParameterizedTest
  @MethodSource("listsOfTheFormat")
  void everyAnswerOfTheFormatIsOfferedOnceInOrder(List<Choice> offered, Object[] known) {
    assertThat(offered)
        .extracting(Choice::id)
        .containsExactly(Arrays.stream(known).map(Object::toString).toArray(String[]::new));
    assertThat(offered).extracting(Choice::label).doesNotHaveDuplicates().doesNotContain("");
  }

  @Test
  void springsAreCountedAndSharesFall() {
    assertThat(ALL.spring()).extracting(Choice::id).containsExactly("1", "2", "3");
    assertThat(ALL.duty()).extracting(Choice::id).containsExactly("yes", "no");
    assertThat(ALL.share())
        .extracting(c -> Double.parseDouble(c.id()))
        .isSortedAccordingTo((a, b) -> Double.compare(b, a))
        .allSatisfy(share -> assertThat(share).isGreaterThan(0).isLessThanOrEqualTo(0.5));
  }

  @Test
  void whatReadsAsASentenceBeginsWithACapital() {
    assertThat(ALL.story()).contains(new Choice("dated", "Said to be of"));
    assertThat(ALL.source()).contains(new Choice("own-record", "Own record"));
  }
}
