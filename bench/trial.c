/*
 * The trial in plain C, doing the same arithmetic steps as core/src/trial: sfc32, a household's year from its loads and
 * their habits, and the year played by the minute under each way. What the TypeScript is held to: bench/trial.ts writes
 * the plan to standard input, compiles this with gcc -O2, and compares both the time and the figures.
 */
#include <math.h>
#include <stdint.h>
#include <stdio.h>
#include <stdlib.h>
#include <string.h>
#include <time.h>

enum { DAY = 1440, DAYS = 365, YEAR = DAY * DAYS };

typedef struct { int32_t a, b, c, d; } Random;

static double draw(Random *r) {
  uint32_t t = (uint32_t)r->a + (uint32_t)r->b + (uint32_t)r->d;
  r->d = (int32_t)((uint32_t)r->d + 1u);
  r->a = (int32_t)((uint32_t)r->b ^ ((uint32_t)r->b >> 9));
  r->b = (int32_t)((uint32_t)r->c + ((uint32_t)r->c << 3));
  r->c = (int32_t)(((uint32_t)r->c << 21) | ((uint32_t)r->c >> 11));
  r->c = (int32_t)((uint32_t)r->c + t);
  return t / 4294967296.0;
}

static Random seeded(int32_t seed) {
  Random r = {(int32_t)0x9e3779b9u, 0x243f6a88, (int32_t)0xb7e15162u, seed};
  for (int at = 0; at < 15; at++) draw(&r);
  return r;
}

static double about(Random *r, double mean, double spread) {
  double sum = 0;
  for (int at = 0; at < 12; at++) sum += draw(r);
  return mean + spread * (sum - 6);
}

static double between(Random *r, double least, double most) { return least + (most - least) * draw(r); }

typedef struct { double hour, spread, weight; } Start;
typedef struct {
  int steady, starts;
  double winter, summer, least, most, shareLeast, shareMost;
  Start start[8];
} Pattern;
typedef struct { int cell; double capA; } Cap;
typedef struct {
  char name[64];
  double currentA, mostA;
  int caps, patterns;
  Cap cap[8];
  Pattern pattern[4];
} Appliance;

enum { CELLS = 8 };
typedef struct { double baseA, mostA; float used[YEAR]; } Cell;
static Cell cells[CELLS];
static double sumBaseA;

static int32_t mixed(int32_t seed, const char *name, int each) {
  uint32_t hash = 0x811c9dc5u ^ (uint32_t)seed;
  for (; *name; name++) hash = (hash ^ (uint32_t)(unsigned char)*name) * 0x01000193u;
  return (int32_t)((hash ^ (uint32_t)(each + 1)) * 0x01000193u);
}

static int draw_use(float *year, const Appliance *a, int from, int minutes, double wantedA, double *took) {
  double leastA = wantedA / 2;
  for (int tries = 0; tries < 4; tries++) {
    int to = from + minutes < YEAR ? from + minutes : YEAR, taken = -1;
    if (to <= from) return 0;
    double amperes = fmin(wantedA, a->mostA);
    for (int c = 0; c < a->caps; c++) {
      const Cell *cell = &cells[a->cap[c].cell];
      double capA = a->cap[c].capA - cell->baseA;
      if (capA - cell->mostA >= amperes) continue;
      for (int m = from; m < to; m++) {
        double room = capA - cell->used[m];
        if (room >= amperes) continue;
        if (room < leastA) taken = m > taken ? m : taken;
        else amperes = room;
      }
    }
    if (taken < 0 && amperes >= leastA) {
      for (int c = 0; c < a->caps; c++) {
        Cell *cell = &cells[a->cap[c].cell];
        for (int m = from; m < to; m++) {
          float used = (float)(cell->used[m] + amperes);
          cell->used[m] = used;
          if (used > cell->mostA) cell->mostA = used;
        }
      }
      for (int m = from; m < to; m++) year[m] = (float)(year[m] + amperes);
      *took += amperes * (to - from);
      return to;
    }
    if (taken < 0) return 0;
    from = taken + 1;
  }
  return 0;
}

static void draw_steady(const Appliance *a, double wantedA, double *took) {
  double amperes = fmin(wantedA, a->mostA);
  for (int c = 0; c < a->caps; c++) amperes = fmin(amperes, a->cap[c].capA - cells[a->cap[c].cell].baseA - cells[a->cap[c].cell].mostA);
  if (amperes <= 0) return;
  for (int c = 0; c < a->caps; c++) cells[a->cap[c].cell].baseA += amperes;
  sumBaseA += amperes;
  *took += amperes * YEAR;
}

static double household(float *year, const Appliance *appliances, int count, int32_t seed) {
  Random home = seeded(seed);
  double root = fmin(1.65, fmax(0.42, about(&home, 1.02, 0.28))), busy = root * root, shift = about(&home, 0, 0.6), took = 0;
  memset(year, 0, YEAR * sizeof *year);
  memset(cells, 0, sizeof cells);
  sumBaseA = 0;
  for (int l = 0; l < count; l++) {
    const Appliance *a = &appliances[l];
    Random r = seeded(mixed(seed, a->name, 0));
    for (int p = 0; p < a->patterns; p++) {
      const Pattern *q = &a->pattern[p];
      if (q->steady) {
        double share = fmin(1, between(&r, q->shareLeast, q->shareMost) * sqrt(busy));
        draw_steady(a, a->currentA * share, &took);
        continue;
      }
      double weights = 0;
      for (int s = 0; s < q->starts; s++) weights += q->start[s].weight;
      int freeFrom = 0;
      for (int day = 0; day < DAYS; day++) {
        double winter = (1 + cos((2 * M_PI * (day - 15)) / DAYS)) / 2;
        double expected = (q->winter * winter + q->summer * (1 - winter)) * busy, hours[24];
        int uses = (int)floor(expected) + (draw(&r) < fmod(expected, 1) ? 1 : 0);
        if (uses > 24) uses = 24;
        for (int at = 0; at < uses; at++) {
          double pick = draw(&r) * weights;
          int s = 0;
          for (int k = 0; k < q->starts; k++) {
            pick -= q->start[k].weight;
            if (pick <= 0) { s = k; break; }
          }
          double hour = about(&r, q->start[s].hour + shift, q->start[s].spread);
          int place = at;
          for (; place > 0 && hours[place - 1] > hour; place--) hours[place] = hours[place - 1];
          hours[place] = hour;
        }
        for (int at = 0; at < uses; at++) {
          double lasts = between(&r, q->least, q->most), amperes = a->currentA * between(&r, q->shareLeast, q->shareMost);
          int from = (int)fmax(freeFrom, floor(day * (double)DAY + hours[at] * 60));
          int ended = draw_use(year, a, from, (int)fmin(q->most, fmax(1, floor(lasts + 0.5))), amperes, &took);
          if (ended > 0) freeFrom = ended;
        }
      }
    }
  }
  for (int m = 0; m < YEAR; m++) year[m] = (float)(year[m] + sumBaseA);
  return took;
}

typedef struct { int managed; double limitA, setPointA, failSafeA; } Way;
typedef struct { double kwhPerDay, arrivesH, leavesH, onboardA; int phases; double leastA, restartMin, ratingA, nominalV; } Terms;
typedef struct { double highestA, delivered; int minutesOver, morningsShort, pauses, highestDay, longest; double warmest; } Figures;
typedef struct { double ownA, enoughMin; int paused, pauses; } State;

static double step(State *s, const Way *w, double house, double wantedA, const Terms *t) {
  double most = fmin(w->limitA, wantedA);
  if (most <= 0) return s->ownA = 0;
  if (!w->managed) return s->ownA = most < t->leastA ? 0 : most;
  double available = w->setPointA - house;
  double target = floor(fmin(most, available) + 1e-6);
  if (target < t->leastA) {
    if (!s->paused && s->ownA > 0) s->pauses++;
    s->paused = 1;
    s->enoughMin = 0;
    return s->ownA = 0;
  }
  if (s->paused) {
    if (s->enoughMin < t->restartMin - 1e-9) {
      s->enoughMin += 1;
      return s->ownA = 0;
    }
    s->paused = 0;
  }
  return s->ownA = target;
}

static Figures play(const float *house, float *ownA, const Way *w, const Terms *t, int32_t seed) {
  static double kwh[DAYS];
  static int arrives[DAYS];
  Random r = seeded(seed ^ 0x5bd1e995);
  for (int day = 0; day < DAYS; day++) {
    kwh[day] = fmax(0, about(&r, t->kwhPerDay, t->kwhPerDay * 0.35));
    arrives[day] = day * DAY + (int)floor(about(&r, t->arrivesH, 0.8) * 60 + 0.5);
    draw(&r);
  }
  double kwhPerMinute = t->phases * t->nominalV / 60000, wanted = 0;
  State s = {0, 0, 0, 0};
  Figures f = {0, 0, 0, 0, 0, 0, 0, 0};
  memset(ownA, 0, YEAR * sizeof *ownA);
  for (int day = 0; day < DAYS; day++) {
    wanted += kwh[day];
    s.paused = 0;
    s.enoughMin = 0;
    s.ownA = 0;
    int leaves = (day + 1) * DAY + (int)floor(t->leavesH * 60 + 0.5);
    int next = day + 1 < DAYS ? arrives[day + 1] : YEAR;
    int until = leaves < next ? leaves : next;
    if (until > YEAR) until = YEAR;
    for (int m = arrives[day] > 0 ? arrives[day] : 0; m < until && wanted > 1e-9; m++) {
      double own = step(&s, w, house[m], t->onboardA, t);
      ownA[m] = (float)own;
      double taken = fmin(wanted, own * kwhPerMinute);
      wanted -= taken;
      f.delivered += taken;
    }
    s.ownA = 0;
    if (leaves > (next < YEAR - 1 ? next : YEAR - 1)) continue;
    if (wanted > 0.1) f.morningsShort++;
    wanted = 0;
  }
  double decay = exp(-1 / (t->ratingA <= 63 ? 63.7 : 127.3)), gain = (1 - decay) / (t->ratingA * t->ratingA), overA = t->ratingA + 1e-3;
  double theta = 0, warmest = 0;
  int highestAt = 0;
  for (int m = 0; m < YEAR; m += 4) {
    for (int k = 0; k < 4; k++) {
      double total = (double)house[m + k] + ownA[m + k];
      if (total > f.highestA) {
        f.highestA = total;
        highestAt = m;
      }
      theta = theta * decay + total * total * gain;
      if (theta > warmest) warmest = theta;
    }
  }
  f.highestDay = highestAt / DAY;
  for (int m = 0, within = -1; f.highestA > overA && m < YEAR; m++) {
    if ((double)house[m] + ownA[m] <= overA) within = m;
    else {
      f.minutesOver++;
      if (m - within > f.longest) f.longest = m - within;
    }
  }
  f.warmest = warmest;
  f.pauses = s.pauses;
  return f;
}

int main(void) {
  int years, first, count, ways;
  Terms t;
  static Appliance list[64];
  static Way way[16];
  static float house[YEAR], own[YEAR];
  if (scanf("%d %d %lf %lf %lf %lf %d %lf %lf %lf %lf %d", &first, &years, &t.kwhPerDay, &t.arrivesH, &t.leavesH, &t.onboardA,
            &t.phases, &t.leastA, &t.restartMin, &t.ratingA, &t.nominalV, &count) != 12 || count > 64)
    return 2;
  for (int l = 0; l < count; l++) {
    Appliance *x = &list[l];
    if (scanf("%63s %lf %lf %d", x->name, &x->currentA, &x->mostA, &x->caps) != 4 || x->caps > 8) return 2;
    for (int c = 0; c < x->caps; c++)
      if (scanf("%d %lf", &x->cap[c].cell, &x->cap[c].capA) != 2 || x->cap[c].cell >= CELLS) return 2;
    if (scanf("%d", &x->patterns) != 1 || x->patterns > 4) return 2;
    for (int p = 0; p < x->patterns; p++) {
      Pattern *q = &x->pattern[p];
      if (scanf("%d %lf %lf %lf %lf %lf %lf %d", &q->steady, &q->winter, &q->summer, &q->least, &q->most, &q->shareLeast,
                &q->shareMost, &q->starts) != 8 || q->starts > 8)
        return 2;
      for (int k = 0; k < q->starts; k++)
        if (scanf("%lf %lf %lf", &q->start[k].hour, &q->start[k].spread, &q->start[k].weight) != 3) return 2;
    }
  }
  if (scanf("%d", &ways) != 1 || ways > 16) return 2;
  for (int w = 0; w < ways; w++)
    if (scanf("%d %lf %lf %lf", &way[w].managed, &way[w].limitA, &way[w].setPointA, &way[w].failSafeA) != 4) return 2;
  struct timespec begin, end;
  clock_gettime(CLOCK_MONOTONIC, &begin);
  double highest = 0, delivered = 0, warmest = 0, energy = 0;
  long over = 0, shorts = 0, pauses = 0;
  for (int y = 0; y < years; y++) {
    energy += household(house, list, count, first + y);
    for (int w = 0; w < ways; w++) {
      Figures f = play(house, own, &way[w], &t, first + y);
      highest += f.highestA, delivered += f.delivered, warmest += f.warmest;
      over += f.minutesOver, shorts += f.morningsShort, pauses += f.pauses;
    }
  }
  clock_gettime(CLOCK_MONOTONIC, &end);
  double ms = (end.tv_sec - begin.tv_sec) * 1e3 + (end.tv_nsec - begin.tv_nsec) / 1e6;
  printf("%.6f %.4f %.4f %.6f %ld %ld %ld %.4f\n", ms, highest, delivered, warmest, over, shorts, pauses, energy * t.nominalV / 60000);
  return 0;
}
