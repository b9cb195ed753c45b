package snikra.formats;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class LabelPapersTest {
  static List<LabelPaper> papers() {
    return ShippedShelf.labelPapers();
  }

  @ParameterizedTest
  @MethodSource("papers")
  void everyLabelLiesOnItsSheetAndNoneOnAnother(LabelPaper paper) {
    double wide = paper.page().equals("A4") ? 210 : 215.9;
    double high = paper.page().equals("A4") ? 297 : 279.4;
    assertThat(paper.left() + (paper.columns() - 1) * paper.across() + paper.width())
        .isLessThanOrEqualTo(wide + 1e-9);
    assertThat(paper.top() + (paper.rows() - 1) * paper.down() + paper.height())
        .isLessThanOrEqualTo(high + 1e-9);
    assertThat(paper.across()).isGreaterThanOrEqualTo(paper.width());
    assertThat(paper.down()).isGreaterThanOrEqualTo(paper.height());
    assertThat(paper.label()).contains("" + paper.perSheet());
  }

  @Test
  void eachIsNamedOnce() {
    assertThat(papers()).extracting(LabelPaper::id).doesNotHaveDuplicates();
  }
}
