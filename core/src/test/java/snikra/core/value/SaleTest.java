package snikra.core.value;

import static org.assertj.core.api.Assertions.assertThat;

import java.math.BigDecimal;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import snikra.core.provenance.EdtfDate;
import snikra.core.specimen.ComparableSale;

class SaleTest {
  private static Sale sale(String what, String price, String sold, @Nullable String premium) {
    return new Sale(
        new ComparableSale(
            what, new BigDecimal(price), "GBP", EdtfDate.parse(sold), null, null, null, null),
        premium == null ? null : new BigDecimal(premium),
        null,
        null);
  }

  @Test
  void whatTheBuyerPaidOnTopIsWeighedToo() {
    assertThat(sale("a", "80", "2024", "25").all().price()).isEqualByComparingTo("100");
    assertThat(sale("a", "80", "2024", "25").all().sold().written()).isEqualTo("2024");
    Sale bare = sale("a", "80", "2024", null);
    assertThat(bare.all()).isSameAs(bare.knife());
    assertThat(sale("a", "80", "2024", "0").all().price()).isEqualByComparingTo("80");
  }

  @Test
  void aSaleIsKnownAgainByKnifePriceAndDayWhateverElseIsTold() {
    Sale.Told told = sale("A jack", "80", "2024", null).told();
    assertThat(sale("a JACK", "80.00", "2024", "25").told()).isEqualTo(told);
    assertThat(sale("A jack", "81", "2024", null).told()).isNotEqualTo(told);
    assertThat(sale("A jack", "80", "2024-05", null).told()).isNotEqualTo(told);
    assertThat(sale("A pen", "80", "2024", null).told()).isNotEqualTo(told);
  }
}
