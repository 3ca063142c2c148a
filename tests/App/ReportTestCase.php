<?php

declare(strict_types=1);

namespace HandGarden\Tests\App;

use HandGarden\Assessment\ReadingRepository;
use HandGarden\Assessment\RecordedReading;
use HandGarden\Assessment\Visit;
use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Measure\Mode;
use HandGarden\Core\Measure\Reading;
use HandGarden\Core\Report\ReportKind;
use HandGarden\Planning\Plan;
use HandGarden\Reporting\Line;
use HandGarden\Reporting\Report;
use HandGarden\Reporting\ReportFormat;

/** Reports of Odalys, drafted and changed as somebody does it on the pages. */
abstract class ReportTestCase extends AtHomeTestCase
{
    protected function draft(ReportKind $kind = ReportKind::Review): Report
    {
        $this->post('/clients/'.$this->odalys->id.'/reports', [
            'kind' => $kind->value,
            'from' => (new \DateTimeImmutable('-30 days'))->format('Y-m-d'),
            'until' => (new \DateTimeImmutable('today'))->format('Y-m-d'),
        ]);
        $this->browser->followRedirect();

        return $this->newest();
    }

    protected function signed(ReportKind $kind = ReportKind::Review): Report
    {
        $report = $this->draft($kind);
        $this->change($report, [
            'do' => 'sign',
            'talked' => '1',
            'read' => range(0, \count($report->lines) - 1),
        ]);
        $signed = $this->reread($report);
        self::assertTrue($signed->isSigned(), $this->shown());

        return $signed;
    }

    /** The one that was drafted last. */
    protected function newest(): Report
    {
        $this->entities->clear();
        $all = $this->entities->getRepository(Report::class)->findBy([], ['id' => 'DESC'], 1);
        self::assertNotSame([], $all, $this->shown());

        return $all[0];
    }

    protected function reread(Report $report): Report
    {
        $this->entities->clear();

        return $this->entities->find(Report::class, $report->id) ?? self::fail('it is gone');
    }

    protected static function words(Report $report): string
    {
        return implode(
            "\n",
            array_map(static fn (Line $l): string => $l->text, ReportFormat::read($report)),
        );
    }

    /** @param array<string, mixed> $form */
    protected function change(Report $report, array $form, bool $refused = false): void
    {
        $this->post($this->at($report), ['ticks' => '1'] + $form);
        $this->assertStatus($refused ? 422 : 303);
        if (!$refused) {
            $this->browser->followRedirect();
        }
    }

    protected function at(Report $report): string
    {
        return '/clients/'.$this->odalys->id.'/reports/'.$report->id;
    }

    protected function measured(string $day, float $degrees): RecordedReading
    {
        $on = new \DateTimeImmutable($day);
        $visit = $this->keep(new Visit(
            $this->odalys->clinicId,
            $this->odalys->id,
            $on,
            $this->therapist->id,
            at: $on,
        ));
        $this->touch();

        return $this->keep(RecordedReading::from(
            new Reading('wrist_extension', Side::Right, Mode::Active, null, value: $degrees, on: $on),
            $visit,
            $this->therapist->id,
            $on,
        ));
    }

    /** What was changed past the pages is seen by them. */
    protected function touch(): void
    {
        $this->entities->getConnection()->executeStatement('UPDATE caseload_row SET changes = changes + 1');
        $this->service(ReadingRepository::class)->reset();
        $this->service(Plan::class)->reset();
    }
}
