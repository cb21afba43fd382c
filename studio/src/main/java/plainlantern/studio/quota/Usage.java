package plainlantern.studio.quota;

/** What an account holds: bytes, and numbers of sheets (those put away included) and of files that wait or are being made. */
public record Usage(long pictures, int sheets, long history, long files, int waiting) {}
