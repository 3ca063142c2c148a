<?php

declare(strict_types=1);

namespace HandGarden\Tests\Architecture;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** One thought a line, held for every file. */
final class AirTest extends TestCase
{
    /** Signing in and out can be done twice. */
    private const SIGNING = [
        'sign-in.html.twig',
        'code.html.twig',
        'again.html.twig',
        '_hides.html.twig',
        'base.html.twig',
    ];

    private static ?Air $air = null;

    public function testALineOfCodeHoldsOneThought(): void
    {
        self::assertLessThanOrEqual(6.5, self::air()->tokensPerLine());
    }

    public function testNoLineOfPhpIsWiderThanTheColumns(): void
    {
        self::assertSame([], self::air()->wideLines);
    }

    /** @return iterable<string, array{string, list<string>}> */
    public static function otherFiles(): iterable
    {
        yield 'templates' => ['twig', ['templates', 'bench']];
        yield 'scripts' => ['js', ['assets', 'tests']];
        yield 'modules' => ['mjs', ['bin', 'bench', 'tests']];
        yield 'styles' => ['css', ['assets']];
    }

    /** @param list<string> $folders */
    #[DataProvider('otherFiles')]
    public function testNoOtherLineIsWiderThanTheColumns(string $ending, array $folders): void
    {
        $wide = [];
        foreach (Air::files($ending, ...array_map(self::inProject(...), $folders)) as $file) {
            array_push($wide, ...Air::wide($file, (string) file_get_contents($file)));
        }

        self::assertSame([], $wide);
    }

    public function testNoScriptIsLongerThanAScreenOrTwo(): void
    {
        $long = array_filter(
            Air::files('js', self::inProject('assets')),
            static fn (string $file): bool => substr_count((string) file_get_contents($file), "\n") > 120,
        );

        self::assertSame([], array_values($long));
    }

    public function testEveryBehaviourSaysHowItIsStopped(): void
    {
        foreach (Air::files('js', self::inProject('assets/scripts/behaviours')) as $file) {
            $text = (string) file_get_contents($file);
            if (str_contains($text, 'export function connect(')) {
                self::assertMatchesRegularExpression('/return (running\.stop|\(\) => \{)/', $text, $file);
                self::assertDoesNotMatchRegularExpression(
                    '/\b(setInterval|setTimeout)\(/',
                    $text,
                    $file.': timers are Running’s, so that they end',
                );
            }
        }
    }

    /** Sent twice, done once: a form that changes something says who it is. */
    public function testEveryFormThatChangesSomethingCarriesAnIdOfItsOwn(): void
    {
        $without = [];
        foreach (Air::files('twig', self::inProject('templates')) as $file) {
            preg_match_all(
                '/<form[^>]*method="post".*?<\\/form>/s',
                (string) file_get_contents($file),
                $forms,
            );
            foreach ($forms[0] as $form) {
                if (1 !== preg_match(
                    '/\.token\(|\bform_\.token|request_id\(\)|\.again\(|\{\{ common \}\}/',
                    $form,
                )) {
                    $without[] = basename($file);
                }
            }
        }

        self::assertSame([], array_values(array_diff($without, self::SIGNING)));
    }

    public function testNoTernaryStandsInATernary(): void
    {
        self::assertSame([], self::air()->nestedTernaries);
    }

    public function testOnlyValuesAreMadeOfMoreThanSixParts(): void
    {
        self::assertSame([], self::air()->longParameterLists);
    }

    public function testFromTheFifthOnArgumentsHaveNames(): void
    {
        self::assertSame([], self::air()->bareCalls);
    }

    private static function air(): Air
    {
        return self::$air ??= Air::ofTree(
            ...array_map(self::inProject(...), ['src', 'tests', 'bench', 'migrations', 'config']),
        );
    }

    private static function inProject(string $folder): string
    {
        return \dirname(__DIR__, 2).'/'.$folder;
    }
}
