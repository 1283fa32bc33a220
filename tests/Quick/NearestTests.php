<?php

declare(strict_types=1);

namespace Olvek\Tests\Quick;

use Symfony\Component\Finder\Finder;

/**
 * Which tests stand nearest to files that have changed, in the time there is.
 *
 * First the changed tests themselves, then the test that is named like the class, then tests that name the class, then the others of its
 * room.
 */
final readonly class NearestTests
{
    /** Seconds of a test file that has never been run here. */
    private const UNKNOWN = 1.0;
    private const FAR = 4;

    /**
     * @param string               $project folder of the project
     * @param string               $tests   folder of the suite within it: "tests" or "core/tests"
     * @param string               $sources folder of what it tests: "src" or "core/src"
     * @param array<string, float> $seconds what each test class took when it was last run, by its full name
     */
    public function __construct(private string $project, private string $tests, private string $sources, private array $seconds)
    {
    }

    /** @return array<string, float> from PHPUnit's own notes of earlier runs; empty where there are none */
    public static function secondsFrom(string $notes): array
    {
        $read = is_file($notes) ? json_decode((string) file_get_contents($notes), true) : null;
        $times = \is_array($read) && \is_array($read['times'] ?? null) ? $read['times'] : [];
        $seconds = [];
        foreach ($times as $test => $took) {
            $class = explode('::', (string) $test)[0];
            $seconds[$class] = ($seconds[$class] ?? 0.0) + (is_numeric($took) ? (float) $took : 0.0);
        }

        return $seconds;
    }

    /**
     * @param list<string> $changed paths from the project's folder
     *
     * @return array{run: list<string>, left: list<string>} test files: those to run, and those near by for which there is no time
     */
    public function of(array $changed, float $budget): array
    {
        $near = $this->ranked($changed);
        $run = $left = [];
        $spent = 0.0;
        foreach ($near as $test) {
            $takes = $this->takes($test);
            if ([] !== $run && $spent + $takes > $budget) {
                $left[] = $test;
                continue;
            }
            $run[] = $test;
            $spent += $takes;
        }

        return ['run' => $run, 'left' => $left];
    }

    private function takes(string $test): float
    {
        $name = str_replace([$this->tests.'/', '.php', '/'], ['', '', '\\'], $test);

        return $this->seconds[('tests' === $this->tests ? 'Olvek\Tests\\' : 'Olvek\Core\Tests\\').$name] ?? self::UNKNOWN;
    }

    /**
     * @param list<string> $changed
     *
     * @return list<string> the nearest first, of equally near ones the quicker
     */
    private function ranked(array $changed): array
    {
        $ranks = [];
        foreach ($this->all() as $test => $code) {
            foreach ($changed as $file) {
                $ranks[$test] = min($ranks[$test] ?? self::FAR, $this->rank($test, $code, $file));
            }
        }
        $near = array_keys(array_filter($ranks, static fn (int $rank): bool => $rank < self::FAR));
        usort($near, fn (string $a, string $b): int => [$ranks[$a], $this->takes($a), $a] <=> [$ranks[$b], $this->takes($b), $b]);

        return $near;
    }

    private function rank(string $test, string $code, string $file): int
    {
        $class = pathinfo($file, \PATHINFO_FILENAME);
        $isCode = str_ends_with($file, '.php') && (str_starts_with($file, "$this->sources/") || str_starts_with($file, "$this->tests/"));

        return match (true) {
            $test === $file => 0,
            $isCode && basename($test) === $class.'Test.php' => 1,
            $isCode && 1 === preg_match("/\\b$class\\b/", $code) => 2,
            $this->roomOf($test) === $this->roomOf($file) => 3,
            default => self::FAR,
        };
    }

    /** "bench" for src/Page/Bench/Part.php, tests/Bench/EditTest.php and templates/bench/show.html.twig: rooms of code stand in wings. */
    private function roomOf(string $path): string
    {
        $inWings = 'tests' === $this->tests ? [$this->sources] : [$this->sources, $this->tests];
        foreach ($inWings as $folder) {
            if (1 === preg_match("#^$folder/[^/]+/([^/]+)/#", $path, $match)) {
                return strtolower($match[1]);
            }
        }
        foreach ([$this->tests, ...('tests' === $this->tests ? ['templates'] : [])] as $folder) {
            if (1 === preg_match("#^$folder/([^/]+)/#", $path, $match)) {
                return strtolower($match[1]);
            }
        }

        return "no room of $this->tests";
    }

    /** @return array<string, string> the suite's test files and what stands in them */
    private function all(): array
    {
        $all = [];
        foreach ((new Finder())->files()->in("$this->project/$this->tests")->name('*Test.php')->sortByName() as $file) {
            $all["$this->tests/{$file->getRelativePathname()}"] = $file->getContents();
        }

        return $all;
    }
}
