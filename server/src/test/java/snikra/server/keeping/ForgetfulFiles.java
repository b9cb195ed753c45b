package snikra.server.keeping;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.channels.FileLock;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.atomic.AtomicInteger;
import org.h2.store.fs.FileBase;
import org.h2.store.fs.FilePath;
import org.h2.store.fs.FilePathWrapper;

/**
 * A file system for the database that forgets as a disk does when the power goes: of what was
 * written since it was last forced any part may be there and any part may not, in any order. It can
 * run full as well.
 */
public final class ForgetfulFiles extends FilePathWrapper {
  private static final int SECTOR = 512;
  private static final Map<String, Surface> SURFACES = new ConcurrentHashMap<>();
  private static final AtomicInteger ROOM = new AtomicInteger(Integer.MAX_VALUE);
  private static volatile boolean full;

  /** Makes {@code jdbc:h2:forgetful:...} known. */
  public static void install() {
    FilePath.register(new ForgetfulFiles());
    full = false;
    leaveRoomFor(Integer.MAX_VALUE);
  }

  /** From now on writing fails as it does on a full disk, midway, or works again. */
  public static void setFull(boolean isFull) {
    full = isFull;
  }

  /** From now on this many writes go through, and of the next only a part. */
  public static void leaveRoomFor(int writes) {
    ROOM.set(writes);
  }

  /** Writes what a power cut at this moment may leave of files into a folder. */
  public static void cutPower(List<Path> files, Path folder, Random chance) throws IOException {
    List<byte[]> left = new ArrayList<>();
    synchronized (SURFACES) {
      files.forEach(file -> left.add(SURFACES.get(file.toString()).afterPowerCut(chance)));
    }
    for (int i = 0; i < left.size(); i++) {
      Files.write(folder.resolve(files.get(i).getFileName()), left.get(i));
    }
  }

  /** How often a file was forced so far. */
  public static long forcedSoFar(Path file) {
    return SURFACES.get(file.toString()).forced;
  }

  @Override
  public String getScheme() {
    return "forgetful";
  }

  @Override
  public FileChannel open(String mode) throws IOException {
    String name = getBase().toString();
    boolean isNew = !getBase().exists();
    FileChannel channel = super.open(mode);
    Surface surface =
        SURFACES.compute(name, (n, known) -> known == null || isNew ? new Surface(channel) : known);
    return new Forgetful(channel, surface);
  }

  /** What is surely on the disk, and what was written since. */
  private static final class Surface {
    private final Bytes durable;
    private final List<Written> since = new ArrayList<>();
    private volatile long forced;

    private record Written(long at, byte[] bytes) {}

    Surface(FileChannel channel) {
      try {
        ByteBuffer all = ByteBuffer.allocate((int) channel.size());
        int read = 0;
        while (all.hasRemaining() && read >= 0) {
          read = channel.read(all, all.position());
        }
        durable = new Bytes(all.array());
      } catch (IOException e) {
        throw new UncheckedIOException(e);
      }
    }

    void wrote(long at, byte[] bytes) {
      synchronized (SURFACES) {
        since.add(new Written(at, bytes));
      }
    }

    void truncated(long to) {
      synchronized (SURFACES) {
        since.add(new Written(to, null));
      }
    }

    void force() {
      synchronized (SURFACES) {
        since.forEach(w -> durable.apply(w, 0, w.bytes == null ? 0 : w.bytes.length));
        since.clear();
        forced++;
      }
    }

    // Each sector of each write reached the disk or did not.
    byte[] afterPowerCut(Random chance) {
      Bytes left = new Bytes(durable);
      for (Written w : since) {
        if (w.bytes == null) {
          if (chance.nextBoolean()) {
            left.apply(w, 0, 0);
          }
          continue;
        }
        boolean mostly = chance.nextBoolean();
        for (int from = 0; from < w.bytes.length; from += SECTOR) {
          if (chance.nextInt(4) == 0 != mostly) {
            left.apply(w, from, Math.min(w.bytes.length, from + SECTOR));
          }
        }
      }
      return java.util.Arrays.copyOf(left.all, left.length);
    }
  }

  /** Bytes that grow. */
  private static final class Bytes {
    private byte[] all;
    private int length;

    Bytes(byte[] all) {
      this.all = all;
      this.length = all.length;
    }

    Bytes(Bytes other) {
      this.all = other.all.clone();
      this.length = other.length;
    }

    void apply(Surface.Written w, int from, int to) {
      if (w.bytes == null) {
        length = Math.min(length, (int) w.at);
        java.util.Arrays.fill(all, length, all.length, (byte) 0);
        return;
      }
      int end = (int) w.at + to;
      if (end > all.length) {
        all = java.util.Arrays.copyOf(all, 2 * end);
      }
      System.arraycopy(w.bytes, from, all, (int) w.at + from, to - from);
      length = Math.max(length, end);
    }
  }

  private static final class Forgetful extends FileBase {
    private final FileChannel channel;
    private final Surface surface;

    Forgetful(FileChannel channel, Surface surface) {
      this.channel = channel;
      this.surface = surface;
    }

    @Override
    public synchronized int write(ByteBuffer src, long at) throws IOException {
      boolean fits = !full && ROOM.getAndUpdate(left -> Math.max(0, left - 1)) > 0;
      byte[] bytes = new byte[fits ? src.remaining() : src.remaining() / 2];
      src.get(bytes);
      int written = channel.write(ByteBuffer.wrap(bytes), at);
      surface.wrote(at, bytes);
      if (!fits) {
        throw new IOException("No space left on device");
      }
      return written;
    }

    @Override
    public int write(ByteBuffer src) throws IOException {
      long at = channel.position();
      int written = write(src, at);
      channel.position(at + written);
      return written;
    }

    @Override
    public void force(boolean metaData) throws IOException {
      channel.force(metaData);
      surface.force();
    }

    @Override
    public FileChannel truncate(long size) throws IOException {
      channel.truncate(size);
      surface.truncated(size);
      return this;
    }

    @Override
    public int read(ByteBuffer dst) throws IOException {
      return channel.read(dst);
    }

    @Override
    public synchronized int read(ByteBuffer dst, long at) throws IOException {
      return channel.read(dst, at);
    }

    @Override
    public long position() throws IOException {
      return channel.position();
    }

    @Override
    public FileChannel position(long at) throws IOException {
      channel.position(at);
      return this;
    }

    @Override
    public long size() throws IOException {
      return channel.size();
    }

    @Override
    public FileLock tryLock(long position, long size, boolean shared) throws IOException {
      return channel.tryLock(position, size, shared);
    }

    @Override
    protected void implCloseChannel() throws IOException {
      channel.close();
    }
  }
}
