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
  double currentA, winter, summer, least, most, shareLeast, shareMost;
  int count, starts;
  Start start[8];
} Load;

static void household(float *year, const Load *loads, int count, int32_t seed, double always0, double always1) {
  Random r = seeded(seed);
  double busy = fmax(0.4, about(&r, 1, 0.3)), shift = about(&r, 0, 0.5);
  float always = (float)between(&r, always0, always1);
  for (int m = 0; m < YEAR; m++) year[m] = always;
  for (int l = 0; l < count; l++) {
    const Load *load = &loads[l];
    double weights = 0;
    for (int s = 0; s < load->starts; s++) weights += load->start[s].weight;
    for (int each = 0; each < load->count && each < 40; each++)
      for (int day = 0; day < DAYS; day++) {
        double share = (1 + cos((2 * M_PI * (day - 15)) / DAYS)) / 2;
        double expected = (load->winter * share + load->summer * (1 - share)) * busy;
        int uses = (int)floor(expected) + (draw(&r) < fmod(expected, 1) ? 1 : 0);
        for (int at = 0; at < uses; at++) {
          double pick = draw(&r) * weights;
          int s = 0;
          for (int k = 0; k < load->starts; k++) {
            pick -= load->start[k].weight;
            if (pick <= 0) { s = k; break; }
          }
          double hour = about(&r, load->start[s].hour + shift, load->start[s].spread);
          int from = (int)fmax(0, floor(day * (double)DAY + hour * 60));
          int to = (int)fmin(YEAR, from + floor(between(&r, load->least, load->most) + 0.5));
          double amperes = load->currentA * between(&r, load->shareLeast, load->shareMost);
          for (int m = from; m < to; m++) year[m] = (float)(year[m] + amperes);
        }
      }
  }
}

typedef struct { int managed; double limitA, setPointA, failSafeA; } Way;
typedef struct { double kwhPerDay, arrivesH, leavesH, onboardA; int phases; double leastA, restartMin, ratingA, nominalV; } Terms;
typedef struct { double highestA, delivered; int minutesOver, morningsShort, pauses; double warmest; } Figures;
typedef struct { double ownA, enoughMin; int paused, pauses; } State;

static double step(State *s, const Way *w, double reading, double wantedA, const Terms *t) {
  double most = fmin(w->limitA, wantedA);
  if (most <= 0) return s->ownA = 0;
  if (!w->managed) return s->ownA = most;
  double available = w->setPointA - (reading - s->ownA);
  double target = floor(fmin(most, available) + 1e-6);
  if (target < t->leastA) {
    if (!s->paused && s->ownA > 0) s->pauses++;
    s->paused = 1;
    s->enoughMin = 0;
    return s->ownA = 0;
  }
  if (s->paused) {
    s->enoughMin += 1;
    if (s->enoughMin < t->restartMin) return s->ownA = 0;
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
  Figures f = {0, 0, 0, 0, 0, 0};
  memset(ownA, 0, YEAR * sizeof *ownA);
  for (int day = 0; day < DAYS; day++) {
    wanted += kwh[day];
    int leaves = (day + 1) * DAY + (int)floor(t->leavesH * 60 + 0.5);
    int next = day + 1 < DAYS ? arrives[day + 1] : YEAR;
    int until = leaves < next ? leaves : next;
    if (until > YEAR) until = YEAR;
    for (int m = arrives[day] > 0 ? arrives[day] : 0; m < until && wanted > 1e-9; m++) {
      double own = step(&s, w, house[m] + s.ownA, t->onboardA, t);
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
  double decay = exp(-1 / (t->ratingA <= 63 ? 63.7 : 127.3)), gain = 1 - decay, perRating = 1 / t->ratingA, overA = t->ratingA + 1e-6;
  double theta = 0, warmest = 0;
  int over = 0, longest = 0;
  for (int m = 0; m < YEAR; m++) {
    double total = (double)house[m] + ownA[m];
    if (total > f.highestA) f.highestA = total;
    if (total > overA) {
      f.minutesOver++;
      if (++over > longest) longest = over;
    } else over = 0;
    double share = total * perRating;
    theta = theta * decay + share * share * gain;
    if (theta > warmest) warmest = theta;
  }
  f.warmest = warmest;
  f.pauses = s.pauses;
  return f;
}

int main(void) {
  int years, first, loads, ways;
  double always0, always1;
  Terms t;
  static Load load[64];
  static Way way[16];
  static float house[YEAR], own[YEAR];
  if (scanf("%d %d %lf %lf %lf %lf %lf %lf %d %lf %lf %lf %lf %d", &first, &years, &always0, &always1, &t.kwhPerDay, &t.arrivesH,
            &t.leavesH, &t.onboardA, &t.phases, &t.leastA, &t.restartMin, &t.ratingA, &t.nominalV, &loads) != 14)
    return 2;
  if (loads > 64) return 2;
  for (int l = 0; l < loads; l++) {
    Load *x = &load[l];
    if (scanf("%lf %d %lf %lf %lf %lf %lf %lf %d", &x->currentA, &x->count, &x->winter, &x->summer, &x->least, &x->most,
              &x->shareLeast, &x->shareMost, &x->starts) != 9 || x->starts > 8)
      return 2;
    for (int k = 0; k < x->starts; k++)
      if (scanf("%lf %lf %lf", &x->start[k].hour, &x->start[k].spread, &x->start[k].weight) != 3) return 2;
  }
  if (scanf("%d", &ways) != 1 || ways > 16) return 2;
  for (int w = 0; w < ways; w++)
    if (scanf("%d %lf %lf %lf", &way[w].managed, &way[w].limitA, &way[w].setPointA, &way[w].failSafeA) != 4) return 2;
  struct timespec begin, end;
  clock_gettime(CLOCK_MONOTONIC, &begin);
  double highest = 0, delivered = 0, warmest = 0;
  long over = 0, shorts = 0, pauses = 0;
  for (int y = 0; y < years; y++) {
    household(house, load, loads, first + y, always0, always1);
    for (int w = 0; w < ways; w++) {
      Figures f = play(house, own, &way[w], &t, first + y);
      highest += f.highestA, delivered += f.delivered, warmest += f.warmest;
      over += f.minutesOver, shorts += f.morningsShort, pauses += f.pauses;
    }
  }
  clock_gettime(CLOCK_MONOTONIC, &end);
  double ms = (end.tv_sec - begin.tv_sec) * 1e3 + (end.tv_nsec - begin.tv_nsec) / 1e6;
  printf("%.6f %.4f %.4f %.6f %ld %ld %ld\n", ms, highest, delivered, warmest, over, shorts, pauses);
  return 0;
}
