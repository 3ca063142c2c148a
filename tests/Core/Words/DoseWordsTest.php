<?php

declare(strict_types=1);

namespace HandGarden\Tests\Core\Words;

use HandGarden\Core\Catalogue\Challenge;
use HandGarden\Core\Catalogue\Dose;
use HandGarden\Core\Catalogue\DoseWords;
use HandGarden\Web\Wording;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Translation\Loader\YamlFileLoader;
use Symfony\Component\Translation\Translator;

/** A dose as it is read on pages and on paper. */
final class DoseWordsTest extends TestCase
{
    /** @return iterable<string, array{Dose, string}> */
    public static function words(): iterable
    {
        $plain = Dose::from(1, 8, 1, 6, holdSeconds: 0, restSeconds: 0);
        yield 'repetitions' => [Dose::from(1, 8, 1, 6, holdSeconds: 0, restSeconds: 0), '8 ×'];
        yield 'with a hold' => [
            Dose::from(1, 8, 1, 4, holdSeconds: 5, restSeconds: 0),
            '8 ×, hold 5 s',
        ];
        yield 'sets' => [Dose::from(2, 5, 1, 6, holdSeconds: 0, restSeconds: 30), '2 sets of 5 ×'];
        yield 'parts' => [
            Dose::from(1, 5, 4, 3, holdSeconds: 0, restSeconds: 0),
            '5 × in each of 4 parts',
        ];
        yield 'seconds' => [Dose::from(1, 1, 1, 25, holdSeconds: 0, restSeconds: 0), '25 s'];
        yield 'minutes' => [Dose::from(1, 1, 1, 150, holdSeconds: 0, restSeconds: 0), '2.5 min'];
        yield 'a load' => [Dose::from(
            1,
            8,
            1,
            6,
            holdSeconds: 0,
            restSeconds: 30,
            loadKilograms: 0.25,
        ), '8 ×, 0.25 kg'];
        yield 'a harder piece' => [$plain->at(Challenge::Firmness, 'firm'), '8 ×, firm'];
        yield 'an angle' => [$plain->at(Challenge::Angle, -60), '8 ×, wrist hanging (−60°)'];
        yield 'an angle between' => [$plain->at(Challenge::Angle, -40), '8 ×, wrist at −40°'];
        yield 'a finger' => [$plain->at(
            Challenge::Finger,
            'ring-little',
        ), '8 ×, between ring and little finger'];
        yield 'as much help as it takes' => [$plain->at(Challenge::Help, 'full'), '8 ×'];
        yield 'less help' => [$plain->at(Challenge::Help, 'some'), '8 ×, some help at most'];
        yield 'calls' => [$plain->at(Challenge::Interval, 2.7), '8 ×, a call every 2.7 s'];
    }

    #[DataProvider('words')]
    public function testADoseInAFewWords(Dose $dose, string $expected): void
    {
        self::assertSame($expected, self::wording()->say(DoseWords::of($dose)));
    }

    private static function wording(): Wording
    {
        $translator = new Translator('en');
        $translator->addLoader('yaml', new YamlFileLoader());
        $translator->addResource(
            'yaml',
            \dirname(__DIR__, 3).'/translations/messages+intl-icu.en.yaml',
            'en',
            'messages+intl-icu',
        );

        return new Wording($translator);
    }
}
