<?php

declare(strict_types=1);

namespace HandGarden\Tests\App;

use Doctrine\ORM\EntityManagerInterface;
use HandGarden\Account\Clinic;
use HandGarden\Client\Client;
use HandGarden\Client\ScreeningAnswer;
use HandGarden\Core\Measure\ToneGrade;
use HandGarden\Core\Report\Fact;
use HandGarden\Core\Report\FactKind;
use HandGarden\Core\Report\Heading;
use HandGarden\Following\BlockReview;
use HandGarden\Following\ClientLook;
use HandGarden\Planning\PlanBlock;
use HandGarden\Planning\PrescribedDose;
use HandGarden\Planning\SavedRoutine;
use HandGarden\Planning\SignOff;
use HandGarden\Progress\Decision;
use HandGarden\Reporting\Line;
use HandGarden\Sitting\Alert;
use HandGarden\Sitting\Sitting;
use HandGarden\Wearing\WearPlan;
use PHPUnit\Framework\Assert;

/** Looks what the lines of a report rest on up in the tables, by another way than the reports do. */
final readonly class KeptFacts
{
    public function __construct(
        private EntityManagerInterface $entities,
        private Client $client,
    ) {
    }

    public function assertCarry(Line $line): void
    {
        Assert::assertNotSame([], $line->facts, $line->text);
        foreach ($line->facts as $fact) {
            Assert::assertTrue($this->isThere($fact), $line->text.' rests on '.$fact->text());
        }
        if (Heading::Measures === $line->heading && 2 === \count($line->facts)) {
            $this->assertFigure($line->cells[1], $line->facts[0]);
            $this->assertFigure($line->cells[2], $line->facts[1]);
        }
        $sittings = array_filter($line->facts, static fn (Fact $f): bool => FactKind::Sitting === $f->kind);
        if (
            Heading::Done === $line->heading
            && 1 === preg_match('/^(\d+) sittings? w/', $line->text, $said)
        ) {
            Assert::assertCount((int) $said[1], $sittings, $line->text);
        }
    }

    private function isThere(Fact $fact): bool
    {
        $class = match ($fact->kind) {
            FactKind::Client => Client::class,
            FactKind::Sitting => Sitting::class,
            FactKind::Dose => PrescribedDose::class,
            FactKind::Alert => Alert::class,
            FactKind::Review => BlockReview::class,
            FactKind::Routine => SavedRoutine::class,
            FactKind::Block => PlanBlock::class,
            FactKind::Look => ClientLook::class,
            FactKind::SignOff => SignOff::class,
            FactKind::Wear => WearPlan::class,
            FactKind::Clinic => Clinic::class,
            default => null,
        };
        if (null !== $class) {
            $found = $this->entities->find($class, $fact->id);

            return null !== $found && (
                !property_exists($found, 'clientId') || $this->client->id === $found->clientId
            );
        }

        return match ($fact->kind) {
            FactKind::Decision => null !== $this->entities->getRepository(Decision::class)->findOneBy(
                ['proposalKey' => $fact->id, 'clientId' => $this->client->id],
            ),
            FactKind::Answer => null !== $this->entities->getRepository(ScreeningAnswer::class)->findOneBy(
                ['questionId' => $fact->id, 'clientId' => $this->client->id],
            ),
            default => !str_contains($fact->id, '@') || [] !== $this->values($fact),
        };
    }

    /** The figure that is printed is the one that stands in the table; a total is worked out from its joints. */
    private function assertFigure(string $printed, Fact $fact): void
    {
        [$key, $day] = explode('@', $fact->id);
        Assert::assertStringEndsWith((new \DateTimeImmutable($day))->format('j M'), $printed);
        if (!str_starts_with($key, 'total_')) {
            $values = $this->values($fact);
            $value = $values[\count($values) - 1];
            Assert::assertIsNumeric($value);
            $isTone = str_starts_with($key, 'tone_');
            Assert::assertStringStartsWith(
                $isTone ? ToneGrade::fromRank((float) $value)->value.',' : (string) round((float) $value, 1),
                $printed,
            );
        }
    }

    /** @return list<mixed> in the order in which they were taken */
    private function values(Fact $fact): array
    {
        [$key, $day] = explode('@', $fact->id);
        [$code, $argument, $mode, $side] = explode('|', $key);
        $isTotal = str_starts_with($code, 'total_');

        return $this->entities->getConnection()->fetchFirstColumn(
            "SELECT number FROM reading WHERE client_id = ? AND code LIKE ? AND COALESCE(argument, '') = ?
                AND COALESCE(mode, '') = ? AND COALESCE(side, '') = ? AND on_day = ?
                AND replaced_by_id IS NULL AND withdrawn_at IS NULL ORDER BY at, id",
            [
                $this->client->id,
                $isTotal ? substr($code, 6).'\_%' : str_replace('_', '\_', $code),
                $argument,
                $mode,
                $side,
                $day,
            ],
        );
    }
}
