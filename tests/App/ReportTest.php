<?php

declare(strict_types=1);

namespace HandGarden\Tests\App;

use HandGarden\Account\Role;
use HandGarden\Assessment\ReadingRepository;
use HandGarden\Assessment\RecordedReading;
use HandGarden\Assessment\Visit;
use HandGarden\Client\Client;
use HandGarden\Client\ScreeningAnswer;
use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Measure\Mode;
use HandGarden\Core\Measure\Reading;
use HandGarden\Core\Report\Fact;
use HandGarden\Core\Report\FactKind;
use HandGarden\Core\Report\Heading;
use HandGarden\Planning\PrescribedDose;
use HandGarden\Progress\Decision;
use HandGarden\Reporting\Line;
use HandGarden\Reporting\Report;
use HandGarden\Reporting\ReportFormat;
use HandGarden\Sitting\Alert;
use HandGarden\Sitting\Sitting;

/** Reports: drafted from what is kept, read line by line, signed, and never changed after that. */
final class ReportTest extends OdalysTestCase
{
    public function testEveryReferenceOfEveryLineIsFoundInTheData(): void
    {
        $this->measured('-20 days', 20.0);
        $this->measured('-1 day', 40.0);
        $report = $this->draft();
        $found = 0;
        foreach (ReportFormat::read($report) as $line) {
            self::assertNotSame([], $line->facts, $line->text);
            foreach ($line->facts as $fact) {
                self::assertTrue($this->isThere($fact), $fact->text());
                ++$found;
            }
        }
        self::assertGreaterThan(3, $found);
        self::assertStringContainsString('beyond the smallest real difference', $this->shown());
    }

    public function testItIsSignedByATherapistWhoReadEveryLine(): void
    {
        $report = $this->draft();
        $lines = \count($report->lines);
        $this->change($report, ['do' => 'sign', 'read' => range(0, $lines - 2)]);
        self::assertStringContainsString('Read every line and tick it: 1 are not.', $this->shown());
        $this->signIn($this->staff($this->quayside(), Role::Assistant));
        $this->change($report, ['do' => 'sign', 'read' => range(0, $lines - 1)]);
        self::assertStringContainsString('A therapist signs', $this->shown());
        self::assertFalse($this->reread($report)->isSigned());

        $this->signIn($this->therapist);
        $this->change($report, ['do' => 'sign', 'read' => range(0, $lines - 1)]);
        $signed = $this->reread($report);
        self::assertTrue($signed->isSigned());
        self::assertStringContainsString('Sefa Ouland, therapist', $signed->signedAs);
    }

    public function testASignedOneNeverChangesAndSaysWhatHas(): void
    {
        $first = $this->measured('-20 days', 20.0);
        $report = $this->draft();
        $this->change($report, ['do' => 'sign', 'read' => range(0, \count($report->lines) - 1)]);
        $before = $this->reread($report)->lines;

        $this->entities->getConnection()->executeStatement(
            'UPDATE reading SET number = 25 WHERE id = ?',
            [$first->id],
        );
        $this->service(ReadingRepository::class)->reset();
        $this->browser->request('GET', $this->at($report));
        self::assertStringContainsString('Changed since it was signed', $this->shown());
        foreach ([['do' => 'view', 'heading' => 'asked', 'text' => 'x'], ['do' => 'anew'], ['do' => 'drop']] as $form) {
            $this->change($report, $form);
            self::assertStringContainsString('It is signed', $this->shown());
        }
        self::assertSame($before, $this->reread($report)->lines);

        $this->change($report, ['do' => 'version']);
        $next = $this->newest();
        self::assertSame([2, $report->id, false], [$next->version, $next->after, $next->isSigned()]);
        $this->browser->request('GET', $this->at($next).'/beside');
        self::assertStringContainsString('only here', $this->shown());
        self::assertSame($before, $this->reread($report)->lines);
    }

    public function testADraftWhoseFactsChangedIsNotSigned(): void
    {
        $this->measured('-20 days', 20.0);
        $report = $this->draft();
        $this->measured('-25 days', 41.0);
        $all = range(0, \count($report->lines) - 1);
        $this->change($report, ['do' => 'sign', 'read' => $all]);
        self::assertStringContainsString('has changed since it was drafted', $this->shown());

        $this->change(
            $report,
            ['do' => 'view', 'heading' => 'asked', 'text' => 'Please look at the splint.'],
        );
        $this->change($report, ['do' => 'anew']);
        $views = array_values(array_filter(
            ReportFormat::read($this->reread($report)),
            static fn (Line $l): bool => $l->isView(),
        ));
        self::assertCount(1, $views, 'what somebody wrote stays');
        self::assertSame(Heading::Asked, $views[0]->heading);
        self::assertStringContainsString('therapist’s view', $this->shown());
    }

    public function testItGoesOutAsTextAndOnPaperAndToWhomIsKept(): void
    {
        $report = $this->draft();
        $this->change($report, ['do' => 'given', 'to' => 'The practice of the doctor']);
        self::assertStringContainsString('Only what is signed goes out.', $this->shown());
        $this->change($report, ['do' => 'sign', 'read' => range(0, \count($report->lines) - 1)]);
        $this->change($report, ['do' => 'given', 'to' => 'The practice of the doctor']);
        self::assertStringContainsString('The practice of the doctor', $this->shown());

        $this->browser->request('GET', $this->at($report).'/report.md');
        self::assertStringStartsWith('# Review', $this->page());
        foreach (Heading::cases() as $heading) {
            self::assertStringContainsString('## ', $this->page(), $heading->value);
        }
        $this->browser->request('GET', $this->at($report).'/report.pdf');
        self::assertStringStartsWith('%PDF', $this->page());
    }

    private function isThere(Fact $fact): bool
    {
        $class = match ($fact->kind) {
            FactKind::Client => Client::class,
            FactKind::Sitting => Sitting::class,
            FactKind::Dose => PrescribedDose::class,
            FactKind::Alert => Alert::class,
            default => null,
        };

        return match (true) {
            null !== $class => null !== $this->entities->find($class, $fact->id),
            FactKind::Decision === $fact->kind => null !== $this->entities->getRepository(
                Decision::class,
            )->findOneBy(
                ['proposalKey' => $fact->id],
            ),
            FactKind::Answer === $fact->kind => null !== $this->entities->getRepository(
                ScreeningAnswer::class,
            )
                ->findOneBy(['questionId' => $fact->id]),
            FactKind::Reading === $fact->kind => $this->isMeasured($fact->id),
            default => false,
        };
    }

    /** A total is that of the joints of its finger on the day. */
    private function isMeasured(string $key): bool
    {
        [$what, $day] = explode('@', $key);
        [$code, , , $side] = explode('|', $what);
        $total = str_starts_with($code, 'total_') ? substr($code, 6).'_%' : $code;

        return false !== $this->entities->getConnection()->fetchOne(
            'SELECT 1 FROM reading WHERE code LIKE ? AND side = ? AND on_day = ? LIMIT 1',
            [$total, $side, $day],
        );
    }

    private function draft(): Report
    {
        $this->post('/clients/'.$this->odalys->id.'/reports', [
            'from' => (new \DateTimeImmutable('-30 days'))->format('Y-m-d'),
            'until' => (new \DateTimeImmutable('today'))->format('Y-m-d'),
        ]);
        $this->browser->followRedirect();

        return $this->newest();
    }

    private function newest(): Report
    {
        $this->entities->clear();
        $all = $this->entities->getRepository(Report::class)->findBy([], ['version' => 'DESC']);
        self::assertNotSame([], $all);

        return $all[0];
    }

    private function reread(Report $report): Report
    {
        $this->entities->clear();

        return $this->entities->find(Report::class, $report->id) ?? self::fail('it is gone');
    }

    /** @param array<string, mixed> $form */
    private function change(Report $report, array $form): void
    {
        $this->post($this->at($report), $form);
        $this->browser->followRedirect();
    }

    private function at(Report $report): string
    {
        return '/clients/'.$this->odalys->id.'/reports/'.$report->id;
    }

    private function measured(string $day, float $degrees): RecordedReading
    {
        $on = new \DateTimeImmutable($day);
        $visit = $this->keep(new Visit(
            $this->odalys->clinicId,
            $this->odalys->id,
            $on,
            $this->therapist->id,
            at: $on,
        ));

        $this->service(ReadingRepository::class)->reset();

        return $this->keep(RecordedReading::from(
            new Reading('wrist_extension', Side::Right, Mode::Active, null, value: $degrees, on: $on),
            $visit,
            $this->therapist->id,
            $on,
        ));
    }
}
