package snikra.server.keeping;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.Random;
import org.h2.store.fs.FilePath;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A file is as it was when it was forced last, and never in between. */
class SteadyFilesTest {
  @TempDir Path folder;
  private Path file;

  @BeforeEach
  void known() {
    SteadyFiles.install();
    file = folder.resolve("some.mv.db");
  }

  private FileChannel open() throws IOException {
    return FilePath.get("steady:" + file).open("rw");
  }

  private static ByteBuffer bytes(String text) {
    return ByteBuffer.wrap(text.getBytes(StandardCharsets.ISO_8859_1));
  }

  private static String read(FileChannel channel) throws IOException {
    ByteBuffer all = ByteBuffer.allocate((int) channel.size());
    channel.read(all, 0);
    return new String(all.array(), StandardCharsets.ISO_8859_1);
  }

  @Test
  void whatIsWrittenIsReadAtOnceAndInTheFileOnceItIsForced() throws IOException {
    try (FileChannel channel = open()) {
      channel.write(bytes("hello"), 0);
      assertThat(read(channel)).isEqualTo("hello");
      assertThat(file).isEmptyFile();
      channel.force(true);
      assertThat(file).hasContent("hello");
    }
  }

  @Test
  void whatWasNotForcedIsGoneWhenItIsClosed() throws IOException {
    try (FileChannel channel = open()) {
      channel.write(bytes("kept"), 0);
      channel.force(true);
      channel.write(bytes("lost and longer"), 0);
    }
    assertThat(file).hasContent("kept");
    try (FileChannel again = open()) {
      assertThat(read(again)).isEqualTo("kept");
    }
  }

  @Test
  void aWholeBatchIsWrittenOnceMoreAndOneThatIsTornIsNot() throws IOException {
    byte[] batch;
    Path side = folder.resolve("some.mv.db" + SteadyFiles.BATCH);
    try (FileChannel channel = open()) {
      channel.write(bytes("created:1f old"), 0);
      channel.force(true);
      channel.write(bytes("created:1f new"), 0);
      channel.force(true);
      batch = Files.readAllBytes(side);
    }
    ByteBuffer.wrap(batch).putInt(0x534E4B31);
    Files.writeString(file, "created:1f torn!");
    Files.write(side, batch);
    try (FileChannel again = open()) {
      assertThat(read(again)).isEqualTo("created:1f new");
      again.force(true);
    }
    assertThat(file).hasContent("created:1f new");

    for (int at : new int[] {5, 30, batch.length - 1}) {
      byte[] torn = batch.clone();
      torn[at] ^= 1;
      Files.write(side, torn);
      Files.writeString(file, "created:1f as it was");
      try (FileChannel again = open()) {
        assertThat(read(again)).as("byte " + at).isEqualTo("created:1f as it was");
      }
    }
    Files.write(side, Arrays.copyOf(batch, batch.length / 2));
    try (FileChannel again = open()) {
      assertThat(read(again)).isEqualTo("created:1f as it was");
    }
  }

  // The disk ran full while the file was written, and again while it was written after that.
  @Test
  void aBatchIsWrittenAnewOnlyOnceTheFileHasAllOfIt() throws IOException {
    ForgetfulFiles.install();
    String before = "created:1f " + "a".repeat(40_000);
    String after = "created:1f " + "b".repeat(40_000);
    for (int room : new int[] {1, 4, 11}) {
      for (int roomThen = 0; roomThen < 13; roomThen++) {
        for (boolean isOpenedAnew : new boolean[] {true, false}) {
          ForgetfulFiles.leaveRoomFor(Integer.MAX_VALUE);
          FileChannel channel = FilePath.get("steady:forgetful:" + file).open("rw");
          channel.write(bytes(before), 0);
          channel.force(true);
          channel.write(bytes(after), 0);
          ForgetfulFiles.leaveRoomFor(room);
          forceWhereItCan(channel);
          if (isOpenedAnew) {
            channel.close();
            channel = FilePath.get("steady:forgetful:" + file).open("rw");
          }
          channel.write(bytes("c"), 100);
          ForgetfulFiles.leaveRoomFor(roomThen);
          forceWhereItCan(channel);
          channel.close();
          try (FileChannel again = open()) {
            assertThat(read(again))
                .as("room for %s writes, then for %s", room, roomThen)
                .isIn(after, after.substring(0, 100) + "c" + after.substring(101));
          }
          Files.delete(file);
          Files.delete(folder.resolve("some.mv.db" + SteadyFiles.BATCH));
        }
      }
    }
    ForgetfulFiles.leaveRoomFor(Integer.MAX_VALUE);
  }

  private static void forceWhereItCan(FileChannel channel) {
    try {
      channel.force(true);
    } catch (IOException e) {
      assertThat(e).hasMessageContaining("No space left");
    }
  }

  @Test
  void theBatchOfAnotherFileIsNotWrittenIntoThisOne() throws IOException {
    Path side = folder.resolve("some.mv.db" + SteadyFiles.BATCH);
    try (FileChannel channel = open()) {
      channel.write(bytes("created:1f one"), 0);
      channel.force(true);
    }
    byte[] batch = Files.readAllBytes(side);
    ByteBuffer.wrap(batch).putInt(0x534E4B31);
    Files.write(side, batch);
    Files.writeString(file, "created:2a two");
    try (FileChannel again = open()) {
      assertThat(read(again)).isEqualTo("created:2a two");
    }
  }

  @Test
  void aBatchThatIsDoneWithIsNotWrittenAgainOverWhatAnotherProgramWrote() throws IOException {
    try (FileChannel channel = open()) {
      channel.write(bytes("created:1f one"), 0);
      channel.force(true);
    }
    Files.writeString(file, "created:1f by another");
    try (FileChannel again = open()) {
      assertThat(read(again)).isEqualTo("created:1f by another");
    }
  }

  @Test
  void anEmptyFileIsRestoredOnlyByABatchThatHoldsAllOfIt() throws IOException {
    assertThat(SteadyFiles.restoresAll(file)).isFalse();
    Path side = folder.resolve("some.mv.db" + SteadyFiles.BATCH);
    try (FileChannel channel = open()) {
      channel.write(bytes("first"), 0);
      channel.force(true);
      byte[] all = Files.readAllBytes(side);
      ByteBuffer.wrap(all).putInt(0x534E4B31);
      Files.write(folder.resolve("all"), all);
      channel.write(ByteBuffer.allocate(9000), 4096);
      channel.force(true);
      channel.write(bytes("x"), 0);
      channel.force(true);
      byte[] part = Files.readAllBytes(side);
      ByteBuffer.wrap(part).putInt(0x534E4B31);
      Files.write(side, part);
      assertThat(SteadyFiles.restoresAll(file)).isFalse();
    }
    Files.copy(folder.resolve("all"), side, java.nio.file.StandardCopyOption.REPLACE_EXISTING);
    assertThat(SteadyFiles.restoresAll(file)).isTrue();
  }

  @Test
  void anyCourseOfWritesCutsAndForcesReadsAsAPlainFileWould() throws IOException {
    Random chance = new Random(7);
    byte[] plain = new byte[0];
    byte[] forced = plain;
    FileChannel channel = open();
    for (int i = 0; i < 3000; i++) {
      switch (chance.nextInt(8)) {
        case 0 -> {
          channel.force(true);
          forced = plain.clone();
        }
        case 1 -> {
          int to = chance.nextInt(plain.length + 1);
          channel.truncate(to);
          plain = Arrays.copyOf(plain, to);
        }
        case 2 -> {
          channel.close();
          channel = open();
          plain = forced.clone();
        }
        default -> {
          int at = chance.nextInt(plain.length + 1);
          byte[] written = new byte[1 + chance.nextInt(9000)];
          chance.nextBytes(written);
          channel.write(ByteBuffer.wrap(written), at);
          plain = Arrays.copyOf(plain, Math.max(plain.length, at + written.length));
          System.arraycopy(written, 0, plain, at, written.length);
          if (plain.length > 60_000) {
            channel.truncate(30_000);
            plain = Arrays.copyOf(plain, 30_000);
          }
        }
      }
      assertThat(channel.size()).isEqualTo(plain.length);
      if (i % 50 == 0) {
        ByteBuffer all = ByteBuffer.allocate(plain.length);
        channel.read(all, 0);
        assertThat(all.array()).isEqualTo(plain);
      }
    }
    channel.close();
  }
}
