/*
 * A pool's year in plain C, doing the same steps as core/src/pool: who is plugged in put in order, what is left shared out, and on to the next thing that
 * changes. What the TypeScript is held to: bench/pool.ts writes cars and what is left to standard input, compiles this with gcc -O2, and compares both the
 * time and the figures.
 */
#include <math.h>
#include <stdio.h>
#include <stdlib.h>
#include <string.h>
#include <time.h>

enum { DAY = 1440, YEAR = DAY * 365, MOST = 256, LEAST_A = 6, TURN = 15 };
static const double HAIR = 1e-6, MISSED = 0.1;

typedef struct {
  int place, lines, mostA, stays, stay, arrivedAt, leavesAt, turns, givenA;
  double perAMinute, hadKwh, wanted, delivered, needed;
  int *arrives, *leaves;
  double *wants;
} Car;
typedef struct { int at, car; } Arrival;

static Car cars[MOST];
static short left[3][YEAR];
static int changesAt[YEAR];
static float drawn[3][YEAR];
static char isShort[366];
static int policy, leftA[3], given[MOST], rising[MOST];
static Car *here[MOST];
static int count;

static int asTheyCame(const Car *a, const Car *b) {
  return a->arrivedAt != b->arrivedAt ? (a->arrivedAt < b->arrivedAt ? -1 : 1) : a->place - b->place;
}
static int before(const void *x, const void *y) {
  const Car *a = *(Car *const *)x, *b = *(Car *const *)y;
  if (policy == 0 && a->turns != b->turns) return a->turns - b->turns;
  if (policy == 2 && a->leavesAt != b->leavesAt) return a->leavesAt < b->leavesAt ? -1 : 1;
  if (policy == 3 && a->hadKwh != b->hadKwh) return a->hadKwh < b->hadKwh ? -1 : 1;
  return asTheyCame(a, b);
}
static int byArrival(const void *x, const void *y) {
  const Arrival *a = x, *b = y;
  return a->at != b->at ? (a->at < b->at ? -1 : 1) : a->car - b->car;
}

static int room(int lines) {
  int least = 1 << 30;
  for (int l = 0; l < 3; l++) if (lines & (1 << l) && leftA[l] < least) least = leftA[l];
  return least;
}
static void take(int lines, int a) { for (int l = 0; l < 3; l++) if (lines & (1 << l)) leftA[l] -= a; }
static int least(int a, int b) { return a < b ? a : b; }

static void evenly(void) {
  int n = 0;
  for (int i = 0; i < count; i++) if (given[i] > 0) rising[n++] = i;
  while (n > 0) {
    int counts[3] = {0, 0, 0}, step = 1 << 30, still = 0;
    for (int r = 0; r < n; r++) {
      const Car *c = here[rising[r]];
      step = least(step, c->mostA - given[rising[r]]);
      for (int l = 0; l < 3; l++) if (c->lines & (1 << l)) counts[l]++;
    }
    for (int l = 0; l < 3; l++) if (counts[l] > 0) step = least(step, leftA[l] / counts[l]);
    if (step < 0) step = 0;
    for (int r = 0; r < n; r++) {
      int i = rising[r];
      const Car *c = here[i];
      int more = step == 0 ? least(1, least(c->mostA - given[i], room(c->lines))) : step;
      if (more <= 0) continue;
      take(c->lines, more);
      given[i] += more;
      if (given[i] < c->mostA) rising[still++] = i;
    }
    n = 0;
    for (int r = 0; r < still; r++) if (room(here[rising[r]]->lines) >= 1) rising[n++] = rising[r];
  }
}

static void share(void) {
  for (int i = 0; i < count; i++) {
    const Car *c = here[i];
    given[i] = c->mostA >= LEAST_A && room(c->lines) >= LEAST_A ? LEAST_A : 0;
    if (given[i] > 0) take(c->lines, given[i]);
  }
  if (policy == 0) { evenly(); return; }
  for (int i = 0; i < count; i++) {
    if (given[i] == 0) continue;
    int more = least(here[i]->mostA - given[i], room(here[i]->lines));
    if (more <= 0) continue;
    take(here[i]->lines, more);
    given[i] += more;
  }
}

static void play(int n, const Arrival *arrivals, int arriving) {
  memset(drawn, 0, sizeof drawn);
  memset(isShort, 0, sizeof isShort);
  for (int i = 0; i < n; i++) { cars[i].stay = -1; cars[i].delivered = cars[i].needed = cars[i].wanted = 0; }
  int coming = 0, now = 0, turnEnds = 0, ordered = 0;
  count = 0;
  while (now < YEAR) {
    for (int i = count - 1; i >= 0; i--) {
      Car *c = here[i];
      if (c->leavesAt > now && c->wanted > HAIR) continue;
      if (c->leavesAt <= now && c->wanted > MISSED) isShort[c->leavesAt / DAY] = 1;
      memmove(here + i, here + i + 1, (size_t)(count - i - 1) * sizeof *here);
      count--;
    }
    for (; coming < arriving && arrivals[coming].at <= now; coming++) {
      Car *c = &cars[arrivals[coming].car];
      c->stay++;
      c->arrivedAt = c->arrives[c->stay];
      c->leavesAt = c->leaves[c->stay];
      double most = c->mostA * c->perAMinute * (c->leavesAt - c->arrivedAt);
      c->wanted = c->wants[c->stay] < most ? c->wants[c->stay] : most;
      c->needed += c->wanted;
      c->turns = 0;
      c->hadKwh = 0;
      here[count++] = c;
      ordered = 0;
    }
    int next = coming < arriving ? arrivals[coming].at : YEAR;
    if (count == 0) { now = next; turnEnds = now; continue; }
    if (now >= turnEnds) { turnEnds = now + TURN; ordered = 0; }
    if (!ordered) qsort(here, (size_t)count, sizeof *here, before);
    ordered = 1;
    for (int l = 0; l < 3; l++) leftA[l] = left[l][now];
    share();
    int until = least(least(turnEnds, next), changesAt[now]);
    for (int i = 0; i < count; i++) {
      Car *c = here[i];
      c->givenA = given[i];
      if (c->leavesAt < until) until = c->leavesAt;
      if (c->givenA > 0) {
        int full = (int)ceil(c->wanted / (c->givenA * c->perAMinute) - HAIR);
        until = least(until, now + (full < 1 ? 1 : full));
      }
    }
    for (int i = 0; i < count; i++) {
      Car *c = here[i];
      if (c->givenA == 0) continue;
      double kwh = c->givenA * c->perAMinute * (until - now);
      if (c->wanted < kwh) kwh = c->wanted;
      c->wanted -= kwh;
      c->hadKwh += kwh;
      c->delivered += kwh;
      if (until >= turnEnds) c->turns++;
      for (int l = 0; l < 3; l++)
        if (c->lines & (1 << l)) for (int at = now; at < until; at++) drawn[l][at] += (float)c->givenA;
    }
    now = until;
  }
}

int main(void) {
  int n, arriving = 0;
  if (scanf("%d %d", &policy, &n) != 2 || n > MOST) return 2;
  static Arrival arrivals[MOST * 366];
  for (int i = 0; i < n; i++) {
    Car *c = &cars[i];
    c->place = i;
    if (scanf("%d %d %lf %d", &c->lines, &c->mostA, &c->perAMinute, &c->stays) != 4) return 2;
    c->arrives = malloc(sizeof(int) * (size_t)(c->stays + 1));
    c->leaves = malloc(sizeof(int) * (size_t)(c->stays + 1));
    c->wants = malloc(sizeof(double) * (size_t)(c->stays + 1));
    for (int s = 0; s < c->stays; s++) {
      if (scanf("%d %d %lf", &c->arrives[s], &c->leaves[s], &c->wants[s]) != 3) return 2;
      arrivals[arriving++] = (Arrival){c->arrives[s], i};
    }
  }
  for (int l = 0; l < 3; l++) for (int at = 0; at < YEAR; at++) if (scanf("%hd", &left[l][at]) != 1) return 2;
  int next = YEAR;
  for (int at = YEAR - 1; at >= 0; at--) {
    changesAt[at] = next;
    if (at > 0 && (left[0][at] != left[0][at - 1] || left[1][at] != left[1][at - 1] || left[2][at] != left[2][at - 1])) next = at;
  }
  qsort(arrivals, (size_t)arriving, sizeof *arrivals, byArrival);
  double best = 1e9;
  for (int round = 0; round < 3; round++) {
    struct timespec from, to;
    clock_gettime(CLOCK_MONOTONIC, &from);
    play(n, arrivals, arriving);
    clock_gettime(CLOCK_MONOTONIC, &to);
    double ms = (double)(to.tv_sec - from.tv_sec) * 1e3 + (double)(to.tv_nsec - from.tv_nsec) / 1e6;
    if (ms < best) best = ms;
  }
  double delivered = 0;
  int days = 0;
  for (int i = 0; i < n; i++) delivered += cars[i].delivered;
  for (int d = 0; d < 366; d++) days += isShort[d];
  printf("%.3f %.9f %d\n", best, delivered, days);
  return 0;
}
