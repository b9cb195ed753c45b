package snikra.formats;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import snikra.core.code.NumberTable;

/** Numbers of patents whose day is known from elsewhere are never dated later than that day. */
class NumbersByYearTest {
  private static NumberTable table(String id) {
    return ShippedShelf.load().numberTables().stream()
        .filter(t -> t.id().equals(id))
        .findFirst()
        .orElseThrow();
  }

  @ParameterizedTest
  @CsvSource(
      textBlock =
          """
      us-patent, 4000000, 1976, 0
      us-patent, 5000000, 1991, 0
      us-patent, 6000000, 1999, 0
      us-patent, 7000000, 2006, 0
      us-patent, 8000000, 2011, 0
      us-patent, 9000000, 2015, 0
      us-patent, 10000000, 2018, 0
      us-patent, 11000000, 2021, 0
      us-patent, 12000000, 2024, 0
      us-design, 1000000, 2023, 0
      uk-patent, 222604, 1924, 1
      uk-patent, 289104, 1928, 1
      uk-patent, 347206, 1931, 1
      uk-patent, 394325, 1933, 1
      uk-patent, 404615, 1934, 1
      uk-patent, 436290, 1935, 1
      uk-patent, 471590, 1937, 1
      uk-patent, 498997, 1939, 1
      uk-patent, 512218, 1939, 1
      uk-patent, 578079, 1946, 1
      uk-patent, 593017, 1947, 1
      uk-patent, 625348, 1949, 1
      uk-patent, 685286, 1952, 1
      uk-patent, 769692, 1957, 1
      uk-patent, 854211, 1960, 1
      uk-patent, 866557, 1961, 1
      uk-patent, 870395, 1961, 1
      uk-patent, 881662, 1961, 1
      uk-patent, 907467, 1962, 1
      uk-patent, 971700, 1964, 1
      uk-patent, 1034255, 1966, 1
      uk-patent, 1110791, 1968, 1
      uk-patent, 1154362, 1969, 1
      uk-patent, 1197183, 1970, 1
      uk-patent, 1200886, 1970, 1
      uk-patent, 1267032, 1972, 1
      uk-patent, 1283915, 1972, 1
      uk-patent, 1397436, 1975, 1
      uk-patent, 1433130, 1976, 1
      de-patent, 36423, 1886, 1
      de-patent, 37435, 1886, 1
      de-patent, 67207, 1893, 1
      de-patent, 98580, 1898, 1
      de-patent, 174057, 1906, 1
      de-patent, 235421, 1911, 1
      de-patent, 304126, 1918, 1
      de-patent, 384071, 1923, 1
      de-patent, 416219, 1925, 1
      de-patent, 484337, 1929, 1
      de-patent, 570980, 1933, 1
      de-federal-patent, 895635, 1953, 1
      de-federal-patent, 907948, 1954, 1
      de-model, 242399, 1905, 1
      de-model, 347895, 1908, 1
      fr-patent, 205155, 1890, 1
      fr-patent, 216052, 1891, 1
      fr-patent, 245032, 1895, 1
      fr-patent, 285753, 1899, 1
      fr-patent, 373763, 1907, 1
      fr-patent, 424190, 1911, 1
      fr-patent, 732100, 1932, 1
      fr-patent, 770326, 1934, 1
      fr-patent, 976541, 1950, 1
      fr-patent, 1120749, 1956, 1
      ca-patent, 3738, 1874, 3
      ca-patent, 7789, 1877, 3
      ca-patent, 234336, 1923, 3
      ca-patent, 367104, 1937, 3
      ca-patent, 605317, 1960, 3
      ca-patent, 1000000, 1976, 3
      ch-patent, 106583, 1924, 5
      ch-patent, 160492, 1933, 5
      ch-patent, 226180, 1943, 5
      ch-patent, 295638, 1954, 5
      """)
  void aNumberIsNotDatedLaterThanItsDayAndHardlyEarlier(
      String id, long number, int given, int early) {
    assertThat(table(id).notBefore(number)).isBetween(given - early, given);
  }

  // A false hard date is worse than none: what cannot be told apart has the earlier year.
  @ParameterizedTest
  @CsvSource({
    "uk-patent, 24731, 1852",
    "uk-patent, 1700000, 1978",
    "uk-patent, 2000500, 1979",
    "us-patent, 4890400, 1990",
    "us-design, 199960, 1965",
    "us-design, 71700, 1926",
    "uk-design, 900000, 1961",
    "uk-design, 2000100, 1989",
    "de-federal-patent, 1850000, 1968",
    "de-federal-patent, 2900001, 1979",
    "de-federal-model, 9400123, 1994",
    "de-federal-model, 29500123, 1995",
    "de-federal, 1693000, 1949",
    "fr-patent, 1604000, 1968",
    "fr-patent, 2000100, 1969"
  })
  void whereOneSeriesEndsAndTheNextBegins(String id, long number, int notBefore) {
    assertThat(table(id).notBefore(number)).isEqualTo(notBefore);
  }
}
