<?php

declare(strict_types=1);

namespace HandGarden\Tests\Architecture;

use PHPUnit\Framework\TestCase;

/** The table of docs/asvs.md: every row says how it stands and why, and the tests it names are there. */
final class AsvsTest extends TestCase
{
    private const PROJECT = __DIR__.'/../..';
    private const STANDS = ['met', 'n/a', 'not met'];

    public function testEveryRowSaysHowItStandsAndWhyAndTheCountsAreTrue(): void
    {
        $counts = array_fill_keys(self::STANDS, 0);
        $numbers = [];
        foreach (self::rows() as [$number, $asked, $stands, $evidence]) {
            self::assertContains($stands, self::STANDS, $number);
            self::assertNotSame('', $asked, $number);
            self::assertNotSame('', $evidence, $number);
            $numbers[] = $number;
            ++$counts[$stands];
        }

        self::assertSame($numbers, array_values(array_unique($numbers)));
        self::assertGreaterThan(200, \count($numbers));
        self::assertStringContainsString(
            \sprintf('%d are met, %d do not arise, %d are not met', ...array_values($counts)),
            self::table(),
        );
    }

    public function testTheTestsAndClassesThatItNamesAreThere(): void
    {
        preg_match_all(
            '/`([A-Z]\w+Test|[a-z]+\.spec\.js|(?:Account|Client|Core|Web)\/[\w\/]+)`/',
            self::table(),
            $named,
        );
        foreach (array_unique($named[1]) as $name) {
            $places = [
                '/tests/App/'.$name.'.php',
                '/tests/Architecture/'.$name.'.php',
                '/tests/browser/'.$name,
                '/src/'.$name.'.php',
            ];
            $found = array_filter($places, static fn (string $p): bool => file_exists(self::PROJECT.$p));
            self::assertNotSame([], $found, $name);
        }
    }

    /** @return list<array{string, string, string, string}> */
    private static function rows(): array
    {
        preg_match_all(
            '/^\| (\d+\.\d+\.\d+) \| (.*?) \| (.*?) \| (.*?) \|$/m',
            self::table(),
            $found,
            \PREG_SET_ORDER,
        );

        return array_map(static fn (array $row): array => [$row[1], $row[2], $row[3], $row[4]], $found);
    }

    private static function table(): string
    {
        return (string) file_get_contents(self::PROJECT.'/docs/asvs.md');
    }
}
