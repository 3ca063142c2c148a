<?php

declare(strict_types=1);

namespace HandGarden\Tests\Core\Words;

use HandGarden\Core\Approach\Question;
use HandGarden\Core\Condition\Comparison;
use HandGarden\Core\Condition\SidePrefix;
use HandGarden\Core\Data\Node;
use HandGarden\Core\Measure\Change\Judgement;
use HandGarden\Core\Measure\ToneGrade;
use HandGarden\Core\Placement\LadderState;
use HandGarden\Core\Progress\Compensation;
use HandGarden\Core\Progress\ProposalKind;
use HandGarden\Core\Words\Joint;
use HandGarden\Core\Words\Phrase;
use HandGarden\Core\Words\PhraseFormat;
use HandGarden\Tests\Architecture\Air;
use HandGarden\Tests\Core\Cases;
use HandGarden\Tests\Core\Said;
use PHPUnit\Framework\TestCase;

/** Every code that the program can say has its words. */
final class WordsOfCodesTest extends TestCase
{
    public function testEveryPhraseThatIsWrittenOutHasWords(): void
    {
        $codes = [];
        foreach (Air::files('php', Cases::root().'/src') as $file) {
            preg_match_all(
                "/(?:new Phrase|->word)\(\s*'([a-z_.]+[a-z_])'(?! *\\.)/",
                (string) file_get_contents($file),
                $found,
            );
            array_push($codes, ...$found[1]);
        }
        self::assertGreaterThan(60, \count($codes));
        foreach ($codes as $code) {
            self::assertHasWords($code);
        }
    }

    public function testEveryKindHasWords(): void
    {
        foreach (ProposalKind::cases() as $kind) {
            self::assertHasWords('proposal.kind.'.$kind->value);
            self::assertHasWords('proposal.title.'.$kind->value);
        }
        foreach (Compensation::cases() as $trick) {
            self::assertHasWords('compensation.'.$trick->value);
        }
        foreach (LadderState::cases() as $state) {
            self::assertHasWords($state->words()->code);
        }
        foreach (Question::cases() as $question) {
            foreach (['asks', 'a', 'b', 'effect'] as $part) {
                self::assertHasWords('approach.'.$question->value.'.'.$part);
            }
        }
        foreach (Comparison::cases() as $comparison) {
            self::assertHasWords('fact.wanted.'.lcfirst($comparison->name));
        }
        foreach (SidePrefix::cases() as $hand) {
            if (SidePrefix::Placed !== $hand) {
                self::assertHasWords('condition.hand.'.lcfirst($hand->name));
            }
        }
        foreach (['tone', 'mixed', 'contracture'] as $kind) {
            self::assertHasWords('limit.tone.meaning_'.$kind);
        }
        foreach (['unknown', 'limited', 'free', 'tone', 'mixed', 'contracture'] as $kind) {
            self::assertHasWords('limit.tone.title_'.$kind);
        }
        foreach (Judgement::cases() as $judgement) {
            self::assertHasWords($judgement->words()->code);
        }
        foreach (ToneGrade::cases() as $grade) {
            self::assertHasWords($grade->words()->code);
        }
        foreach (Joint::cases() as $joint) {
            self::assertHasWords('joint.'.$joint->value);
        }
    }

    public function testAPhraseIsKeptAsItsCodeAndReadBackTheSame(): void
    {
        $phrase = new Phrase('reason.leads_to', [
            'reason' => new Phrase('reason.stands', ['ladder' => 'Wrist lifting']),
            'goals' => Joint::Comma->joining(['Pour a glass', new Phrase('reason.pause')]),
            'points' => 3,
            'share' => 0.5,
        ]);
        $kept = json_decode(json_encode(PhraseFormat::write($phrase), \JSON_THROW_ON_ERROR), true);

        self::assertEquals($phrase, PhraseFormat::read(Node::root($kept)));
    }

    public function testWordsThatWereKeptBeforeAreSaidAsTheyStand(): void
    {
        self::assertSame('Stands here', Said::of(PhraseFormat::read(Node::root('Stands here'))));
        self::assertSame('', Said::of(PhraseFormat::read(Node::root(''))));
    }

    public function testADayIsTheSameInEveryZone(): void
    {
        $before = date_default_timezone_get();
        try {
            foreach (['Pacific/Kiritimati', 'UTC', 'Pacific/Pago_Pago'] as $zone) {
                date_default_timezone_set($zone);
                $said = [
                    Said::of(
                        Phrase::day(new \DateTimeImmutable('2026-03-01 00:00', new \DateTimeZone($zone))),
                    ),
                    Said::of(
                        Phrase::day(new \DateTimeImmutable('2026-03-01 23:59', new \DateTimeZone($zone))),
                    ),
                ];
                self::assertSame(['1 Mar', '1 Mar'], $said, $zone);
            }
        } finally {
            date_default_timezone_set($before);
        }
    }

    public function testSomebodysOwnWordsAreNotReadAsAPattern(): void
    {
        self::assertSame("It's {odd}, 'quoted'", Said::of(Phrase::own("It's {odd}, 'quoted'")));
    }

    private static function assertHasWords(string $code): void
    {
        self::assertNotSame($code, Said::wording()->word($code), $code.' has no words');
    }
}
