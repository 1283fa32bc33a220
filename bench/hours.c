/*
 * The hourly loop of the run (core/src/Simulation/Run/Hours) once more in C, as an anchor for how fast it can be: the same arithmetic in the same
 * order, for an open tank without a bottle. bench/hours.php writes its days, compares what comes out, and prints how far apart both are.
 *
 * Reads, as text: the number of days, then of each day its constants in the order of struct day, the number of its steps, and each step's
 * hours and lit share. Writes what the water holds after each day, then the ns that a day took at the median of many rounds.
 */
#include <math.h>
#include <stdio.h>
#include <stdlib.h>
#include <time.h>

#define MOST_STEPS 96
#define ROUNDS 101

struct day {
    double litres, k1, k2, kw;
    double ammonia_oxidisers, nitrite_oxidisers, each_a, each_n, acid, most_a, most_n, yield_a, yield_n, busy_decay, idle_decay;
    double ammonia, nitrite, nitrate, plant_appetite, algae_appetite, half_ammonia, half_nitrite, half_algae, through, denitrifying, acidity,
        ammonia_noon, ammonia_rise;
    double calcium, bed, calcite_k2, per_product, bed_speed, stone_speed, settling;
    double carbon, alkalinity, hydrogen, in, exchange, air;
    double free1, free2, free3, free4, both1, both2, both3, both4, both_all, algae, beta_most, compensation;
    double oxygen, passes, saturation, out;
    double steps;
};
#define FIELDS (sizeof(struct day) / sizeof(double))

static struct day *days;
static double (*schedule)[2 * MOST_STEPS];

static double theta_of(double k) { return k > 2.0 ? 1 - 1 / k : 0.5; }

static double theta_after(double store, double in, double k, double theta)
{
    double after = (store * (1 - (1 - theta) * k) + in) / (1 + theta * k);

    return after > 0.0 ? after : 0.0;
}

static double hydrogen_of(const struct day *d, double carbon, double alkalinity, double from)
{
    double c = carbon / 12011.0, a = alkalinity / 1000, k12 = d->k1 * d->k2, h = from;
    for (int n = 0; n < 60; ++n) {
        double q = h * h + d->k1 * h + k12, one = (d->k1 * h) / q, two = k12 / q, z = one + 2 * two, hydroxide = d->kw / h;
        double step = (c * z + hydroxide - h - a) / (c * (one + 4 * two - z * z) + hydroxide + h);
        if (step < 0.01 && step > -0.01) {
            return h * (1 + step * (1 + step / 2));
        }
        h *= exp(fmax(-2.0, fmin(2.0, step)));
    }

    return h;
}

/* Nodes of half saturation (CarbonNodes), mg CO2/L, and of algae. */
static const double NODE[4] = {0.1, 0.3, 0.9, 2.7};
static const double HALF_ALGAE = 0.15;

struct water {
    double ammonia, nitrite, nitrate, a, n, grew_a, grew_n;
    double carbon, alkalinity, hydrogen, calcium, bed;
    double oxygen;
    double most_ammonia, most_nitrite, most_unionised, least_oxygen, sum_hydrogen, fixed, got[4], beta[4], got_algae;
};

static double part(const struct day *d, struct water *w, double hours, double lit, double share)
{
    const double per_carbon = 44.009 / 12.011;
    double v = d->litres, carbon = w->carbon;
    double h = hydrogen_of(d, carbon / v, w->alkalinity / v, w->hydrogen);
    double c = carbon / v / 12011.0;
    double q = h * h + d->k1 * (h + d->k2), one = (d->k1 * h) / q, two = (d->k1 * d->k2) / q, z = one + 2 * two;
    double move = z / (c * (one + 4 * two - z * z) + d->kw / h + h), free = (per_carbon * h * h) / q;
    double co2 = free * (carbon / v), slope = free * (1 + c * z * move), h_slope = (h * move) / 12011.0 / v, bicarbonate = 1000 * c * one;
    double in = d->in * hours, exchange = d->exchange * hours, stiff = exchange, push = in - exchange * (co2 - d->air);
    double weight[4] = {0}, wa = 0, steady = 0, beta = 0;
    const double on_free[4] = {d->free1, d->free2, d->free3, d->free4}, on_both[4] = {d->both1, d->both2, d->both3, d->both4};
    if (lit > 0.0) {
        double light = lit * hours, over = co2 > d->compensation ? co2 - d->compensation : 0.0, ua = 1 / (HALF_ALGAE + co2);
        beta = (d->beta_most * bicarbonate) / (1.0 + bicarbonate);
        wa = light * d->algae;
        steady = light * beta * d->both_all;
        double pull = 0, steep = 0;
        for (int i = 0; i < 4; ++i) {
            double u = 1 / (NODE[i] + over);
            weight[i] = light * (on_free[i] + (1 - beta) * on_both[i]);
            pull += weight[i] * u;
            steep += weight[i] * NODE[i] * u * u;
        }
        push -= steady + pull * over + wa * ua * co2;
        stiff += steep + wa * HALF_ALGAE * ua * ua;
    }
    slope /= v;
    stiff *= slope;
    if (share == 1.0) {
        double turn = (h_slope * fabs(push)) / (1 + stiff / 2) / h;
        share = turn > 0.35 ? 1 / fmin(8, ceil(turn / 0.35)) : 1.0;
    }
    stiff *= share;
    double theta = theta_of(stiff), then = co2 + (theta * slope * share * push) / (1 + theta * stiff);
    if (then < 0.0) {
        then = 0.0;
    }
    double moved = share * in;
    if (lit > 0.0) {
        double over = then > d->compensation ? then - d->compensation : 0.0, x[4], fixed = steady, xa = then / (HALF_ALGAE + then);
        for (int i = 0; i < 4; ++i) {
            x[i] = over / (NODE[i] + over);
            fixed += weight[i] * x[i];
        }
        fixed = share * (fixed + wa * xa);
        double available = 0.9 * carbon + moved, used = share * lit * hours;
        if (fixed > available) {
            used *= available / fixed;
            fixed = available;
        }
        for (int i = 0; i < 4; ++i) {
            w->got[i] += used * x[i];
            w->beta[i] += used * beta + used * (1 - beta) * x[i];
        }
        w->got_algae += used * xa;
        w->fixed += fixed;
        moved -= fixed;
    }
    double gas = share * exchange * (d->air - then);
    if (gas < -0.09 * carbon) {
        gas = -0.09 * carbon;
    }
    moved += gas;
    carbon += moved;
    double end = h + h_slope * moved;
    end = end < h / 2 ? h / 2 : (end > 2 * h ? 2 * h : end);
    w->hydrogen = end;

    const double alkalinity_per = 2000.0 / 100.087, carbon_per = 12011.0 / 100.087, hardness_per = 1000.0 / 17.848;
    double mean = (h + end) / 2, litre_alkalinity = w->alkalinity / v, grams = 0.0;
    double omega = litre_alkalinity > 0.0
        ? d->per_product * (w->calcium / v) * litre_alkalinity / (1 + 2 * d->calcite_k2 / mean) / mean : 0.0;
    if (omega > 20.0) {
        grams = -(share * hours) * d->settling * (1 - 20.0 / omega)
            * fmin(fmin(w->alkalinity / alkalinity_per, w->calcium / hardness_per), carbon / carbon_per);
        w->bed -= grams;
    } else if (omega < 1) {
        double bed = share * hours * d->bed_speed * (1 - omega) * w->bed;
        grams = bed + share * hours * d->stone_speed * (1 - omega);
        w->bed -= bed;
    }
    w->calcium += grams * hardness_per;
    w->alkalinity += grams * alkalinity_per;
    w->carbon = carbon + grams * carbon_per;
    w->sum_hydrogen += share * hours * mean;

    return share;
}

static void oxygen(const struct day *d, struct water *w, double hours, double made, double asked)
{
    double held = w->oxygen, full = d->saturation * d->litres, k = (d->passes * hours) / d->litres, half = 0.2 * d->litres;
    double guess = (held + made + k * full) / (1 + k + asked / (half + held)), middle = (held + guess) / 2;
    double slope = asked / (half + middle), steady = 0.0;
    if (k + slope < 1.0) {
        steady = (slope * middle * middle) / (half + middle);
        slope *= half / (half + middle);
    }
    double pull = k + slope, source = made + k * full - steady, mean = held + (source - pull * held) / 2;
    if (pull > 1e-5) {
        double rest = source / pull;
        mean = rest + ((held - rest) * (1 - exp(-pull))) / pull;
    }
    double drawn = steady + slope * mean, in = k * (full - mean), over = held + made + in - drawn - 2.0 * full;
    if (over > 0.0) {
        in -= over * (1 - exp(-0.5 * hours));
    }
    w->oxygen = held + made - drawn + in;
    if (w->oxygen < w->least_oxygen) {
        w->least_oxygen = w->oxygen;
    }
}

static void nitrogen(const struct day *d, struct water *w, double at, double hours, double awake, double *first, double *in_second,
    double *taken, double *charge)
{
    double v = d->litres, oxygen = w->oxygen / v, plant = d->plant_appetite * awake * hours, alga = d->algae_appetite * awake * hours;
    double freed = (d->ammonia_noon + d->ammonia_rise * (at - 0.5)) * hours, denitrifying = d->denitrifying * hours;
    double middle_a = w->a * (1 + w->grew_a / 2), film = (d->each_a * d->acid * middle_a * oxygen) / (0.5 + oxygen) * hours / v;
    double before = w->ammonia, c = before / v, k = plant / (0.2 + c) + alga / (d->half_algae + c) + film / (d->half_ammonia + c);
    c = (before + (before + freed) / (1 + k)) / 2 / v;
    double by_plants = plant / (0.2 + c), by_algae = alga / (d->half_algae + c), by_film = film / (d->half_ammonia + c), theta, drawn;
    k = by_plants + by_algae + by_film;
    theta = theta_of(k);
    w->ammonia = theta_after(before, freed, k, theta);
    drawn = theta * w->ammonia + (1 - theta) * before;
    double plant_ammonium = by_plants * drawn, algae_ammonium = by_algae * drawn;
    *first = by_film * drawn;
    double shy = 0.1 / (0.1 + (w->ammonia + before) / 2 / v);
    plant *= shy;
    alga *= shy;

    double unionised = ((w->ammonia / v) * d->acidity) / (d->acidity + w->hydrogen), middle_n = w->n * (1 + w->grew_n / 2);
    film = (d->each_n * d->acid * middle_n * oxygen) / (1.0 + oxygen) / (1 + unionised / HALF_INHIBITION) * hours / v;
    double in = (1 - d->through) * *first;
    before = w->nitrite;
    c = before / v;
    k = film / (d->half_nitrite + c) + plant / (0.4 + c);
    c = (before + (before + in) / (1 + k)) / 2 / v;
    by_film = film / (d->half_nitrite + c);
    by_plants = plant / (0.4 + c);
    k = by_film + by_plants;
    theta = theta_of(k);
    w->nitrite = theta_after(before, in, k, theta);
    drawn = theta * w->nitrite + (1 - theta) * before;
    double second = by_film * drawn, oxidised = by_plants * drawn;

    double a = w->a, n = w->n, room_a = a < d->most_a ? 1 - a / d->most_a : 0.0, room_n = n < d->most_n ? 1 - n / d->most_n : 0.0;
    w->grew_a = (d->yield_a * *first * room_a - (d->busy_decay * *first) / d->each_a) / middle_a - d->idle_decay * hours;
    w->grew_n = (d->yield_n * second * room_n - (d->busy_decay * second) / d->each_n) / middle_n - d->idle_decay * hours;
    w->a = fmax(a * (1 + w->grew_a * (1 + w->grew_a / 2)), 1e-6 * d->most_a);
    w->n = fmax(n * (1 + w->grew_n * (1 + w->grew_n / 2)), 1e-6 * d->most_n);

    in = second + d->through * *first;
    before = w->nitrate;
    c = before / v;
    k = plant / (0.4 + c) + alga / (d->half_algae + c) + denitrifying;
    c = (before + (before + in) / (1 + k)) / 2 / v;
    by_plants = plant / (0.4 + c);
    by_algae = alga / (d->half_algae + c);
    k = by_plants + by_algae + denitrifying;
    theta = theta_of(k);
    w->nitrate = theta_after(before, in, k, theta);
    drawn = theta * w->nitrate + (1 - theta) * before;
    *taken = oxidised + by_plants * drawn + by_algae * drawn;
    *charge = (freed - plant_ammonium - algae_ammonium - 2 * *first + *taken + denitrifying * drawn) / 14.007;
    *in_second = in;
}

static struct water through(const struct day *d, const double *schedule)
{
    struct water w = {.ammonia = d->ammonia, .nitrite = d->nitrite, .nitrate = d->nitrate, .a = d->ammonia_oxidisers, .n = d->nitrite_oxidisers,
        .carbon = d->carbon, .alkalinity = d->alkalinity, .hydrogen = d->hydrogen, .calcium = d->calcium, .bed = d->bed, .oxygen = d->oxygen,
        .most_ammonia = d->ammonia, .most_nitrite = d->nitrite, .least_oxygen = d->oxygen};
    double clock = 0.0;
    for (int s = 0; s < (int) d->steps; ++s) {
        double hours = schedule[2 * s], lit = schedule[2 * s + 1], first, second, taken, charge;
        nitrogen(d, &w, (clock + hours / 2) / 24, hours, 0.5 + 0.5 * lit, &first, &second, &taken, &charge);
        w.alkalinity += charge;
        w.fixed = 0.0;
        double share = part(d, &w, hours, lit, 1.0);
        for (int parts = share < 1.0 ? (int) round(1 / share) : 1; parts > 1; --parts) {
            part(d, &w, hours, lit, share);
        }
        const double per_carbon = PER_CARBON;
        double made = w.fixed * per_carbon + taken * (3.43 + 1.14), asked = d->out * hours + 3.43 * first + 1.14 * second;
        if (w.fixed > 0.0) {
            oxygen(d, &w, hours, made, asked);
        } else {
            oxygen(d, &w, hours / 2, made / 2, asked / 2);
            oxygen(d, &w, hours / 2, made / 2, asked / 2);
        }
        double unionised = ((w.ammonia / d->litres) * d->acidity) / (d->acidity + w.hydrogen);
        w.most_unionised = unionised > w.most_unionised ? unionised : w.most_unionised;
        w.most_ammonia = w.ammonia > w.most_ammonia ? w.ammonia : w.most_ammonia;
        w.most_nitrite = w.nitrite > w.most_nitrite ? w.nitrite : w.most_nitrite;
        clock += hours;
    }

    return w;
}

static int by_size(const void *a, const void *b)
{
    double x = *(const double *) a, y = *(const double *) b;

    return (x > y) - (x < y);
}

int main(void)
{
    int count;
    if (scanf("%d", &count) != 1 || count < 1) {
        return 1;
    }
    days = calloc(count, sizeof *days);
    schedule = calloc(count, sizeof *schedule);
    for (int n = 0; n < count; ++n) {
        double *fields = (double *) &days[n];
        for (size_t i = 0; i < FIELDS; ++i) {
            if (scanf("%lf", &fields[i]) != 1) {
                return 1;
            }
        }
        if (days[n].steps > MOST_STEPS) {
            return 1;
        }
        for (int i = 0; i < 2 * (int) days[n].steps; ++i) {
            if (scanf("%lf", &schedule[n][i]) != 1) {
                return 1;
            }
        }
        struct water w = through(&days[n], schedule[n]);
        printf("%.17g %.17g %.17g %.17g %.17g %.17g %.17g %.17g %.17g\n", w.ammonia, w.nitrite, w.nitrate, w.a, w.n, w.carbon, w.alkalinity,
            w.oxygen, w.sum_hydrogen / 24);
    }
    double spans[ROUNDS], kept = 0.0;
    for (int round = 0; round < ROUNDS; ++round) {
        struct timespec from, to;
        clock_gettime(CLOCK_MONOTONIC, &from);
        for (int n = 0; n < count; ++n) {
            kept += through(&days[n], schedule[n]).nitrate;
        }
        clock_gettime(CLOCK_MONOTONIC, &to);
        spans[round] = ((to.tv_sec - from.tv_sec) * 1e9 + (to.tv_nsec - from.tv_nsec)) / count;
    }
    qsort(spans, ROUNDS, sizeof *spans, by_size);
    printf("%.1f %g\n", spans[ROUNDS / 2], kept);

    return 0;
}
