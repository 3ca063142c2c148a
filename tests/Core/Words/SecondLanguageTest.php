<?php

declare(strict_types=1);

namespace HandGarden\Tests\Core\Words;

use HandGarden\Core\Placement\LadderPlacement;
use HandGarden\Core\Placement\Placer;
use HandGarden\Core\Progress\Proposer;
use HandGarden\Core\Progress\Situation;
use HandGarden\Core\Routine\Builder;
use HandGarden\Core\Words\Joined;
use HandGarden\Core\Words\Phrase;
use HandGarden\Exchange\Case\CaseFile;
use HandGarden\Library\FactWords;
use HandGarden\Library\PlacementWords;
use HandGarden\Tests\Core\Cases;
use HandGarden\Tests\Core\Said;
use HandGarden\Web\Wording;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Translation\Formatter\MessageFormatter;
use Symfony\Component\Translation\Loader\ArrayLoader;
use Symfony\Component\Translation\Translator;
use Symfony\Component\Yaml\Yaml;

/** A second language is a second file: whatever is said comes out of it, and nothing else is said. */
final class SecondLanguageTest extends TestCase
{
    private const BEGIN = '⟦';
    private const END = '⟧';

    private static ?Wording $wording = null;

    private static ?PlacementWords $placement = null;

    /** @return iterable<string, array{string}> */
    public static function cases(): iterable
    {
        foreach (['tight-hand', 'cupped-hands', 'fingers-together', 'tight-hand-with-log'] as $name) {
            yield $name => [$name];
        }
        $worked = glob(Cases::root().'/docs/examples/worked/*.json');
        foreach (false === $worked ? [] : $worked as $file) {
            yield basename($file, '.json') => ['worked/'.basename($file, '.json')];
        }
    }

    #[DataProvider('cases')]
    public function testEveryReasonOfAPlacementIsSaidByTheFile(string $name): void
    {
        $case = Cases::example($name);
        foreach ($this->place($case) as $placed) {
            foreach ($placed->rungs as $rung) {
                $said = self::placement()->placed($rung, $placed->side);
                if ([] === $rung->screening && [] === $rung->findings) {
                    self::assertSaid($said);
                }
                foreach ($rung->findings as $finding) {
                    self::assertSaid(self::placement()->finding($finding, $placed->side));
                }
            }
        }
    }

    #[DataProvider('cases')]
    public function testEveryReasonOfARoutineAndEveryProposalIsSaidByTheFile(string $name): void
    {
        $case = Cases::example($name);
        $brief = $case->brief((new Placer(Cases::catalogue()))->place($case->facts, $case->today));
        $routine = (new Builder(Cases::catalogue()))->build($brief);
        foreach ($routine->sequence->items as $item) {
            self::assertPhrase($item->reason);
        }
        foreach ($routine->leftOut as $out) {
            self::assertPhrase($out->reason);
        }
        foreach (
            (new Proposer(Cases::catalogue()))->propose(
                $case->routine,
                $case->log,
                new Situation(
                    $case->facts->people->conditions,
                    $case->daysPerWeek,
                    $case->today,
                ),
            ) as $proposal
        ) {
            self::assertPhrase($proposal->why);
        }
        self::assertNotSame([], $routine->sequence->items);
    }

    public function testEveryMessageCanBeRead(): void
    {
        foreach (self::flat() as $code => $message) {
            self::assertSame(
                $message,
                (new \MessageFormatter('en', $message))->getPattern(),
                $code,
            );
        }
    }

    /** @return list<LadderPlacement> */
    private function place(CaseFile $case): array
    {
        return (new Placer(Cases::catalogue()))->place($case->facts, $case->today)->ladders;
    }

    /** What somebody wrote, and what the catalogue says, stands as it is; everything else comes out of the file. */
    private static function assertPhrase(Phrase|Joined $phrase): void
    {
        if ($phrase instanceof Phrase && 'own' === $phrase->code) {
            self::assertNotSame('', $phrase->with['text']);

            return;
        }
        self::assertSaid(self::wording()->say($phrase));
    }

    private static function assertSaid(string $said): void
    {
        self::assertStringStartsWith(self::BEGIN, $said);
        self::assertStringEndsWith(self::END, $said);
    }

    private static function placement(): PlacementWords
    {
        if (null === self::$placement) {
            self::$placement = new PlacementWords(
                Said::store(),
                self::wording(),
                new FactWords(Said::store(), self::wording()),
            );
        }

        return self::$placement;
    }

    private static function wording(): Wording
    {
        if (null === self::$wording) {
            $translator = new Translator('qq', new MessageFormatter());
            $translator->addLoader('array', new ArrayLoader());
            $messages = array_map(
                static fn (string $m): string => self::BEGIN.$m.self::END,
                self::flat(),
            );
            $translator->addResource('array', $messages, 'qq', 'messages+intl-icu');
            self::$wording = new Wording($translator);
        }

        return self::$wording;
    }

    /** @return array<string, string> messages by their whole code */
    private static function flat(): array
    {
        $flat = [];
        $walk = static function (array $tree, string $prefix) use (&$walk, &$flat): void {
            foreach ($tree as $key => $value) {
                if (\is_array($value)) {
                    $walk($value, $prefix.$key.'.');
                } elseif (\is_string($value)) {
                    $flat[$prefix.$key] = $value;
                }
            }
        };
        $tree = Yaml::parseFile(Cases::root().'/translations/messages+intl-icu.en.yaml');
        \assert(\is_array($tree));
        $walk($tree, '');

        return $flat;
    }
}
