<?php

declare(strict_types=1);

namespace HandGarden\Tests\Core\Words;

use HandGarden\Core\Words\Joint;
use HandGarden\Core\Words\Phrase;
use HandGarden\Web\Wording;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Translation\Formatter\MessageFormatter;
use Symfony\Component\Translation\Loader\ArrayLoader;
use Symfony\Component\Translation\Translator;

/** Names put in by hand and messages formatted as a whole say the same. */
final class WordingTest extends TestCase
{
    private const MESSAGES = [
        'plain' => 'Nothing goes in',
        'names' => '{item}: {what}, then {item} again',
        'choice' => '{side, select, left {left} other {right}} hand, {item}',
        'count' => '{n, plural, one {# day} other {# days}}',
        'quoted' => "It''s {item}",
        'joint.comma' => ', ',
    ];

    /** @return iterable<string, array{string, array<string, string|int|float>}> */
    public static function said(): iterable
    {
        yield 'nothing' => ['plain', []];
        yield 'names' => ['names', ['item' => 'Fan out', 'what' => 'wide']];
        yield 'a name with braces in it' => ['names', ['item' => 'A {what}', 'what' => '{item}']];
        yield 'a name with quotes in it' => ['names', ['item' => "it's", 'what' => "''"]];
        yield 'a small number' => ['names', ['item' => 7, 'what' => 12.0]];
        yield 'a large number' => ['names', ['item' => 12345, 'what' => 'x']];
        yield 'a fraction' => ['names', ['item' => 1.5, 'what' => -0.25]];
        yield 'a negative number' => ['names', ['item' => -30, 'what' => 'x']];
        yield 'something nobody asked for' => ['plain', ['item' => 'x']];
        yield 'a choice' => ['choice', ['side' => 'left', 'item' => 'Fan out']];
        yield 'a count' => ['count', ['n' => 1]];
        yield 'more of it' => ['count', ['n' => 2]];
        yield 'a quote in the message' => ['quoted', ['item' => 'Fan out']];
    }

    /** @param array<string, string|int|float> $with */
    #[DataProvider('said')]
    public function testAWordIsWhatTheFormatterWouldSay(string $code, array $with): void
    {
        foreach (['en', 'de'] as $locale) {
            $translator = self::translator($locale);

            self::assertSame(
                $translator->trans($code, $with),
                (new Wording($translator))->word($code, $with),
                $locale,
            );
        }
    }

    public function testTheSameWordingSpeaksAnotherLanguageWhenTheLanguageChanges(): void
    {
        $translator = self::translator('en');
        $translator->addResource('array', ['plain' => 'Nichts'], 'de', 'messages+intl-icu');
        $wording = new Wording($translator);
        self::assertSame('Nothing goes in', $wording->word('plain'));
        $translator->setLocale('de');

        self::assertSame('Nichts', $wording->word('plain'));
    }

    public function testPhrasesInPhrasesAndJoinedOnesAreSaidInTheirOrder(): void
    {
        $wording = new Wording(self::translator('en'));
        $said = $wording->say(new Phrase('names', [
            'item' => new Phrase('choice', ['side' => 'left', 'item' => 'x']),
            'what' => Joint::Comma->joining(['one', new Phrase('plain'), Phrase::own('two')]),
        ]));

        self::assertSame('left hand, x: one, Nothing goes in, own, then left hand, x again', $said);
    }

    public function testASentenceBeginsWithACapitalWhateverTheLetter(): void
    {
        $wording = new Wording(self::translator('en'));

        self::assertSame('Über die Hand', $wording->sentence('über die Hand'));
        self::assertSame('', $wording->sentence(''));
        self::assertSame('7 days', $wording->sentence('7 days'));
    }

    private static function translator(string $locale): Translator
    {
        $translator = new Translator($locale, new MessageFormatter());
        $translator->addLoader('array', new ArrayLoader());
        foreach (['en', 'de'] as $known) {
            $translator->addResource('array', self::MESSAGES, $known, 'messages+intl-icu');
        }

        return $translator;
    }
}
