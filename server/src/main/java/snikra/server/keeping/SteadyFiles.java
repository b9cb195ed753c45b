package snikra.server.keeping;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.channels.FileLock;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.Map;
import java.util.TreeMap;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.atomic.AtomicLong;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.zip.CRC32;
import org.h2.store.fs.FileBase;
import org.h2.store.fs.FilePath;
import org.h2.store.fs.FilePathWrapper;
import org.jspecify.annotations.Nullable;

/**
 * Files of the database that a power cut leaves as they were when they were forced last, and never
 * in between. The database finds its newest state by its ends alone: one of which the middle had
 * not reached the disk yet would be taken for whole.
 *
 * <p>What is written is held in memory until it is forced. Then it goes, with a checksum, into a
 * batch beside the file and is forced there, and only then into the file itself. After a power cut
 * a whole batch is written once more; one that is not whole had not touched the file.
 */
public final class SteadyFiles extends FilePathWrapper {
  static final String SCHEME = "steady";
  static final String BATCH = ".batch";

  private static final String STORE = ".mv.db";
  private static final Map<Path, AtomicLong> OPENED = new ConcurrentHashMap<>();

  /** Makes {@code jdbc:h2:steady:...} known. */
  static void install() {
    FilePath.register(new SteadyFiles());
  }

  @Override
  public String getScheme() {
    return SCHEME;
  }

  // Other files are made anew each time and count only once they are whole.
  @Override
  public FileChannel open(String mode) throws IOException {
    FileChannel file = getBase().open(mode);
    if (!getBase().toString().endsWith(STORE)) {
      return file;
    }
    OPENED
        .computeIfAbsent(innermost(getBase()).toRealPath(), name -> new AtomicLong())
        .incrementAndGet();
    boolean isToRead = mode.equals("r");
    FilePath batch = batchOf(getBase());
    FileChannel side = isToRead && !batch.exists() ? null : batch.open(isToRead ? "r" : "rw");
    return new Steady(file, side);
  }

  /**
   * How often this file was opened so far. A database that closed by itself is opened by whoever
   * asks for it next, without a word; what was not forced went with it.
   */
  static long timesOpened(Path file) throws IOException {
    AtomicLong times = Files.exists(file) ? OPENED.get(file.toRealPath()) : null;
    return times == null ? 0 : times.get();
  }

  private static Path innermost(FilePath path) {
    FilePath inner = path.unwrap();
    return inner == path ? Path.of(path.toString()) : innermost(inner);
  }

  private static FilePath batchOf(FilePath file) {
    return FilePath.get(file + BATCH);
  }

  // A batch of the old file must not be written into the new one.
  @Override
  public void moveTo(FilePath target, boolean atomicReplace) {
    FilePath place = unwrap(target.toString());
    FilePath batch = batchOf(place);
    if (batch.exists()) {
      batch.delete();
    }
    getBase().moveTo(place, atomicReplace);
  }

  /**
   * Whether the batch beside an empty file holds all of it: the power went in the very first force.
   */
  static boolean restoresAll(Path file) throws IOException {
    Path batch = file.resolveSibling(file.getFileName() + BATCH);
    if (!Files.exists(batch)) {
      return false;
    }
    try (FileChannel channel = FileChannel.open(batch, StandardOpenOption.READ)) {
      return Steady.isWhole(channel);
    }
  }

  private static final class Steady extends FileBase {
    private static final int BLOCK = 4096;

    /** Marks a batch, and of which layout it is. */
    private static final int MAGIC = 0x534E_4B31;

    private static final int HEADER = 4 + 8 + 8 + 4;
    private static final int PER_BLOCK = 8 + BLOCK;
    private static final int MOST_HELD = 4096;
    private static final Pattern CREATED = Pattern.compile("created:([0-9a-f]{1,16})");

    private final FileChannel file;
    private final @Nullable FileChannel batch;
    private final Map<Long, byte[]> held = new TreeMap<>();
    private @Nullable Batch inForce;
    private long size;
    private long position;
    private boolean changed;

    /** What the batch beside the file holds, as long as the file may not have all of it. */
    private record Batch(Map<Long, byte[]> blocks, long size) {}

    Steady(FileChannel file, @Nullable FileChannel batch) throws IOException {
      this.file = file;
      this.batch = batch;
      this.size = file.size();
      if (batch != null) {
        takeUp(batch);
      }
    }

    // What was in the batch when the power went is in force again, as though just written.
    private void takeUp(FileChannel from) throws IOException {
      ByteBuffer bytes = readAll(from);
      if (bytes.remaining() < HEADER + 8 || bytes.getInt(0) != MAGIC) {
        return;
      }
      int count = bytes.getInt(HEADER - 4);
      long end = HEADER + (long) count * PER_BLOCK;
      if (count < 0
          || end + 8 > bytes.limit()
          || bytes.getLong((int) end) != sum(bytes, (int) end)) {
        return;
      }
      long created = bytes.getLong(4);
      long here = created(block(0), block(1));
      if (here != 0 && here != created) {
        return;
      }
      size = bytes.getLong(12);
      bytes.position(HEADER);
      for (int i = 0; i < count; i++) {
        long index = bytes.getLong();
        byte[] block = new byte[BLOCK];
        bytes.get(block);
        held.put(index, block);
      }
      inForce = new Batch(new TreeMap<>(held), size);
      changed = true;
    }

    private static ByteBuffer readAll(FileChannel from) throws IOException {
      ByteBuffer bytes = ByteBuffer.allocate((int) from.size());
      int read = 0;
      while (bytes.hasRemaining() && read >= 0) {
        read = from.read(bytes, bytes.position());
      }
      return bytes.flip();
    }

    private static long sum(ByteBuffer bytes, int end) {
      CRC32 crc = new CRC32();
      crc.update(bytes.duplicate().position(0).limit(end));
      return crc.getValue();
    }

    // The database says in its first two blocks when the file was created: so files are told apart.
    private static long created(byte[]... blocks) {
      for (byte[] block : blocks) {
        Matcher m = CREATED.matcher(new String(block, StandardCharsets.ISO_8859_1));
        if (m.find()) {
          return Long.parseUnsignedLong(m.group(1), 16);
        }
      }
      return 0;
    }

    private byte[] block(long index) throws IOException {
      byte[] here = held.get(index);
      if (here != null) {
        return here;
      }
      byte[] block = new byte[BLOCK];
      ByteBuffer into = ByteBuffer.wrap(block);
      int read = 0;
      while (into.hasRemaining() && read >= 0) {
        read = file.read(into, index * BLOCK + into.position());
      }
      return block;
    }

    @Override
    public synchronized int read(ByteBuffer into, long at) throws IOException {
      if (at >= size) {
        return -1;
      }
      int length = (int) Math.min(into.remaining(), size - at);
      if (held.isEmpty()) {
        ByteBuffer part = into.duplicate().limit(into.position() + length);
        int read = file.read(part, at);
        into.position(into.position() + Math.max(0, read));
        return read;
      }
      int done = 0;
      while (done < length) {
        long index = (at + done) / BLOCK;
        int from = (int) ((at + done) % BLOCK);
        int part = Math.min(BLOCK - from, length - done);
        into.put(block(index), from, part);
        done += part;
      }
      return length;
    }

    @Override
    public synchronized int write(ByteBuffer from, long at) throws IOException {
      int length = from.remaining();
      int done = 0;
      while (done < length) {
        long index = (at + done) / BLOCK;
        int into = (int) ((at + done) % BLOCK);
        int part = Math.min(BLOCK - into, length - done);
        byte[] block = part == BLOCK ? new byte[BLOCK] : block(index).clone();
        from.get(block, into, part);
        held.put(index, block);
        done += part;
      }
      size = Math.max(size, at + length);
      changed = true;
      if (held.size() > MOST_HELD) {
        force(true);
      }
      return length;
    }

    @Override
    public synchronized void force(boolean metaData) throws IOException {
      FileChannel side = batch;
      if (!changed || side == null) {
        return;
      }
      finish(side);
      writeAll(side, laidOut(), 0);
      side.force(true);
      inForce = new Batch(new TreeMap<>(held), size);
      finish(side);
      held.clear();
      changed = false;
    }

    // Before the next batch is laid over it: should a write fail midway, or the power go, the file
    // is torn and this batch alone makes it whole again.
    private void finish(FileChannel side) throws IOException {
      Batch batchNow = inForce;
      if (batchNow == null) {
        return;
      }
      for (Map.Entry<Long, byte[]> e : batchNow.blocks.entrySet()) {
        long at = e.getKey() * BLOCK;
        int length = (int) Math.min(BLOCK, batchNow.size - at);
        if (length > 0) {
          writeAll(file, ByteBuffer.wrap(e.getValue(), 0, length), at);
        }
      }
      if (file.size() > batchNow.size) {
        file.truncate(batchNow.size);
      }
      file.force(true);
      // Done with: should this process be killed, and the file changed by another program, it is
      // not written again.
      writeAll(side, ByteBuffer.allocate(4), 0);
      inForce = null;
    }

    private ByteBuffer laidOut() throws IOException {
      ByteBuffer bytes = ByteBuffer.allocate(HEADER + held.size() * PER_BLOCK + 8);
      bytes.putInt(MAGIC);
      bytes.putLong(created(block(0), block(1)));
      bytes.putLong(size);
      bytes.putInt(held.size());
      held.forEach((index, block) -> bytes.putLong(index).put(block));
      bytes.putLong(sum(bytes, bytes.position()));
      return bytes.flip();
    }

    private static void writeAll(FileChannel into, ByteBuffer bytes, long at) throws IOException {
      long place = at;
      while (bytes.hasRemaining()) {
        place += into.write(bytes, place);
      }
    }

    @Override
    public synchronized FileChannel truncate(long newSize) {
      if (newSize < size) {
        size = newSize;
        held.keySet().removeIf(index -> index * BLOCK >= newSize);
        changed = true;
      }
      position = Math.min(position, newSize);
      return this;
    }

    @Override
    public synchronized int read(ByteBuffer into) throws IOException {
      int read = read(into, position);
      position += Math.max(0, read);
      return read;
    }

    @Override
    public synchronized int write(ByteBuffer from) throws IOException {
      int written = write(from, position);
      position += written;
      return written;
    }

    @Override
    public synchronized long position() {
      return position;
    }

    @Override
    public synchronized FileChannel position(long at) {
      position = at;
      return this;
    }

    @Override
    public synchronized long size() {
      return size;
    }

    @Override
    public FileLock tryLock(long at, long length, boolean shared) throws IOException {
      return file.tryLock(at, length, shared);
    }

    // What was not forced goes with it: the file stays as it was when it was forced last.
    @Override
    protected void implCloseChannel() throws IOException {
      file.close();
      if (batch != null) {
        batch.close();
      }
    }

    static boolean isWhole(FileChannel batch) throws IOException {
      ByteBuffer bytes = readAll(batch);
      if (bytes.remaining() < HEADER + 8 || bytes.getInt(0) != MAGIC) {
        return false;
      }
      int count = bytes.getInt(HEADER - 4);
      long end = HEADER + (long) count * PER_BLOCK;
      return count >= 0
          && end + 8 <= bytes.limit()
          && bytes.getLong((int) end) == sum(bytes, (int) end)
          && (long) count * BLOCK >= bytes.getLong(12);
    }
  }
}
