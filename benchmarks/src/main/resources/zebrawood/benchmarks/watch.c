/* Preloaded into a child of `bench durability`: notes every write, sync and cut of the logbook's files and every
   answer on standard output, in their order, and lets one of them fail where that is asked for. */
#define _GNU_SOURCE
#include <dlfcn.h>
#include <errno.h>
#include <fcntl.h>
#include <pthread.h>
#include <stdarg.h>
#include <stdint.h>
#include <stdio.h>
#include <stdlib.h>
#include <string.h>
#include <sys/stat.h>
#include <sys/types.h>
#include <unistd.h>

static pthread_mutex_t lock = PTHREAD_MUTEX_INITIALIZER;
static int log_fd = -2;
static long count = 0;
static long fail_at = -1;
static int fail_with = 0;
static char watched[4096];

static ssize_t (*real_write)(int, const void *, size_t);
static ssize_t (*real_pwrite)(int, const void *, size_t, off_t);
static ssize_t (*real_pwrite64)(int, const void *, size_t, off64_t);
static int (*real_fsync)(int);
static int (*real_fdatasync)(int);
static int (*real_ftruncate)(int, off_t);
static int (*real_ftruncate64)(int, off64_t);
static int (*real_unlink)(const char *);

static void begin(void) {
    if (log_fd != -2) return;
    real_write = dlsym(RTLD_NEXT, "write");
    real_pwrite = dlsym(RTLD_NEXT, "pwrite");
    real_pwrite64 = dlsym(RTLD_NEXT, "pwrite64");
    real_fsync = dlsym(RTLD_NEXT, "fsync");
    real_fdatasync = dlsym(RTLD_NEXT, "fdatasync");
    real_ftruncate = dlsym(RTLD_NEXT, "ftruncate");
    real_ftruncate64 = dlsym(RTLD_NEXT, "ftruncate64");
    real_unlink = dlsym(RTLD_NEXT, "unlink");
    const char *log = getenv("WATCH_LOG");
    const char *folder = getenv("WATCH_FOLDER");
    const char *fail = getenv("WATCH_FAIL");
    const char *with = getenv("WATCH_ERROR");
    snprintf(watched, sizeof watched, "%s", folder ? folder : "");
    if (fail) fail_at = atol(fail);
    fail_with = with && strcmp(with, "full") == 0 ? ENOSPC : EIO;
    log_fd = log ? open(log, O_WRONLY | O_CREAT | O_APPEND | O_CLOEXEC, 0644) : -1;
}

/* 1 the database, 2 its log, 3 standard output, 0 anything else; the shared index is made anew after a cut */
static int which(int fd) {
    if (fd == 1) return 3;
    char link[64], path[4096];
    snprintf(link, sizeof link, "/proc/self/fd/%d", fd);
    ssize_t n = readlink(link, path, sizeof path - 1);
    if (n <= 0) return 0;
    path[n] = 0;
    size_t w = strlen(watched);
    if (w == 0 || strncmp(path, watched, w) != 0) return 0;
    if (strcmp(path + w, "/logbook.db") == 0) return 1;
    if (strcmp(path + w, "/logbook.db-wal") == 0) return 2;
    return 0;
}

static void note(char op, int file, int64_t at, const void *bytes, int64_t length) {
    if (log_fd < 0) return;
    char head[18];
    head[0] = op;
    head[1] = (char) file;
    memcpy(head + 2, &at, 8);
    memcpy(head + 10, &length, 8);
    real_write(log_fd, head, sizeof head);
    if (bytes && length > 0) real_write(log_fd, bytes, (size_t) length);
}

/* whether this one is to fail */
static int fails(int file) {
    if (file != 1 && file != 2) return 0;
    count++;
    if (count != fail_at) return 0;
    errno = fail_with;
    return 1;
}

ssize_t write(int fd, const void *bytes, size_t length) {
    begin();
    int file = which(fd);
    if (file == 0 || fd == log_fd) return real_write(fd, bytes, length);
    pthread_mutex_lock(&lock);
    ssize_t done = fails(file) ? -1 : real_write(fd, bytes, length);
    if (done > 0) note('W', file, -1, bytes, done);
    int kept = errno;
    pthread_mutex_unlock(&lock);
    errno = kept;
    return done;
}

#define PWRITE(name, offset) \
    ssize_t name(int fd, const void *bytes, size_t length, offset at) { \
        begin(); \
        int file = which(fd); \
        if (file == 0) return real_##name(fd, bytes, length, at); \
        pthread_mutex_lock(&lock); \
        ssize_t done = fails(file) ? -1 : real_##name(fd, bytes, length, at); \
        if (done > 0) note('W', file, (int64_t) at, bytes, done); \
        int kept = errno; \
        pthread_mutex_unlock(&lock); \
        errno = kept; \
        return done; \
    }
PWRITE(pwrite, off_t)
PWRITE(pwrite64, off64_t)

#define SYNC(name) \
    int name(int fd) { \
        begin(); \
        int file = which(fd); \
        if (file == 0) return real_##name(fd); \
        pthread_mutex_lock(&lock); \
        int done = fails(file) ? -1 : real_##name(fd); \
        if (done == 0) note('S', file, 0, NULL, 0); \
        int kept = errno; \
        pthread_mutex_unlock(&lock); \
        errno = kept; \
        return done; \
    }
SYNC(fsync)
SYNC(fdatasync)

#define TRUNCATE(name, offset) \
    int name(int fd, offset length) { \
        begin(); \
        int file = which(fd); \
        if (file == 0) return real_##name(fd, length); \
        pthread_mutex_lock(&lock); \
        int done = fails(file) ? -1 : real_##name(fd, length); \
        if (done == 0) note('T', file, (int64_t) length, NULL, 0); \
        int kept = errno; \
        pthread_mutex_unlock(&lock); \
        errno = kept; \
        return done; \
    }
TRUNCATE(ftruncate, off_t)
TRUNCATE(ftruncate64, off64_t)

int unlink(const char *path) {
    begin();
    size_t w = strlen(watched);
    int done = real_unlink(path);
    if (done == 0 && w > 0 && strncmp(path, watched, w) == 0 && strcmp(path + w, "/logbook.db-wal") == 0) {
        pthread_mutex_lock(&lock);
        note('U', 2, 0, NULL, 0);
        pthread_mutex_unlock(&lock);
    }
    return done;
}
