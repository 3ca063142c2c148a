<?php

declare(strict_types=1);

namespace HandGarden\Tests\App;

use Doctrine\DBAL\Exception\DriverException;
use HandGarden\Account\Role;
use HandGarden\Core\Report\Heading;
use HandGarden\Core\Report\ReportKind;
use HandGarden\Following\ClientLook;
use HandGarden\Following\LookWord;
use HandGarden\Reporting\Line;
use HandGarden\Reporting\ReportFormat;

/** Reports: drafted from what is kept, read line by line, signed, and never changed after that. */
final class ReportTest extends ReportTestCase
{
    public function testItIsSignedByATherapistWhoReadEveryLine(): void
    {
        $report = $this->draft();
        $lines = \count($report->lines);
        $this->change($report, ['do' => 'sign', 'read' => range(0, $lines - 2)], refused: true);
        self::assertStringContainsString('Read every line and tick it: 1 are not.', $this->shown());
        self::assertSame(
            $lines - 1,
            substr_count($this->shown(), ' checked'),
            'what was ticked stays ticked, on the page and in the record',
        );
        $this->signIn($this->staff($this->quayside(), Role::Assistant));
        $this->change($report, ['do' => 'sign', 'read' => range(0, $lines - 1)], refused: true);
        self::assertStringContainsString('A therapist signs', $this->shown());
        self::assertFalse($this->reread($report)->isSigned());

        $this->signIn($this->therapist);
        $this->change($report, ['do' => 'sign', 'read' => range(0, $lines - 1)]);
        $signed = $this->reread($report);
        self::assertTrue($signed->isSigned());
        self::assertStringContainsString('Sefa Ouland, therapist', $signed->signedAs);
    }

    public function testWhatSomebodyElseReadIsNotRead(): void
    {
        $report = $this->draft();
        $this->signIn($this->staff($this->quayside()));
        $this->change($report, ['do' => 'keep', 'read' => range(0, \count($report->lines) - 1)]);
        $this->signIn($this->therapist);
        $this->post($this->at($report), ['do' => 'sign']);
        $this->assertStatus(422);
        self::assertStringContainsString('Read every line and tick it', $this->shown());
    }

    public function testASignedOneNeverChangesAndSaysWhatHas(): void
    {
        $first = $this->measured('-20 days', 20.0);
        $report = $this->signed();
        $before = $report->lines;
        self::assertTrue($report->isWhole());
        self::assertNotSame('', $report->content);

        $this->entities->getConnection()->executeStatement(
            'UPDATE reading SET number = 25 WHERE id = ?',
            [$first->id],
        );
        $this->touch();
        $this->browser->request('GET', $this->at($report));
        self::assertStringContainsString('Changed since it was signed', $this->shown());
        foreach (
            [['do' => 'view', 'heading' => 'asked', 'text' => 'x'], ['do' => 'anew'], ['do' => 'drop']] as $form
        ) {
            $this->change($report, $form, refused: true);
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

    public function testTheDatabaseRefusesToChangeWhatIsSigned(): void
    {
        $report = $this->signed();
        $connection = $this->entities->getConnection();
        foreach (
            [
                "UPDATE report SET lines = '[]' WHERE id = ?",
                "UPDATE report SET seal = '' WHERE id = ?",
                'UPDATE report SET signed_at = NULL WHERE id = ?',
                'DELETE FROM report WHERE id = ?',
            ] as $query
        ) {
            $connection->executeStatement('SAVEPOINT before_it');
            try {
                $connection->executeStatement($query, [$report->id]);
                self::fail($query);
            } catch (DriverException $e) {
                self::assertStringContainsString('A signed report does not change.', $e->getMessage());
            }
            $connection->executeStatement('ROLLBACK TO SAVEPOINT before_it');
        }
        self::assertTrue($this->reread($report)->isWhole());
        $tampered = $this->reread($report);
        $tampered->lines[0]['text'] = 'Something else.';
        self::assertFalse($tampered->isWhole());
        $this->entities->clear();
    }

    public function testTimeThatPassesIsNoChange(): void
    {
        $this->keep(new ClientLook(
            $this->odalys->clinicId,
            $this->odalys->id,
            LookWord::cases()[0],
            '',
            visitOn: new \DateTimeImmutable('+3 days'),
            byStaffId: $this->therapist->id,
            at: new \DateTimeImmutable(),
        ));
        $report = $this->signed();
        self::assertStringContainsString('Next visit on', json_encode($report->lines, \JSON_THROW_ON_ERROR));
        $this->entities->getConnection()->executeStatement(
            'UPDATE client_look SET visit_on = visit_on - 30',
        );
        $this->touch();
        $this->browser->request('GET', $this->at($report));
        self::assertStringNotContainsString('Changed since', $this->shown());
    }

    public function testADraftWhoseFactsChangedIsWrittenAnewAndOnlyWhatIsNewIsReadAgain(): void
    {
        $this->measured('-20 days', 20.0);
        $report = $this->draft();
        $this->change(
            $report,
            ['do' => 'view', 'heading' => 'asked', 'text' => 'Please look at the splint.'],
        );
        $report = $this->reread($report);
        $all = range(0, \count($report->lines) - 1);
        $this->measured('-25 days', 41.0);
        $this->touch();
        $this->change($report, ['do' => 'sign', 'read' => $all], refused: true);
        self::assertStringContainsString('has changed since it was drafted', $this->shown());

        $this->change($report, ['do' => 'anew', 'read' => $all]);
        $lines = ReportFormat::read($this->reread($report));
        $views = array_values(array_filter($lines, static fn (Line $l): bool => $l->isView()));
        self::assertCount(1, $views, 'what somebody wrote stays');
        self::assertSame(Heading::Asked, $views[0]->heading);
        $unread = array_filter($lines, fn (Line $l): bool => !$l->isReadBy($this->therapist->id));
        self::assertNotSame([], $unread);
        self::assertLessThan(\count($lines), \count($unread), 'what was read and is the same stays read');
        foreach ($unread as $line) {
            self::assertMatchesRegularExpression('/Wrist up|Of \d+ measures|Of one measure/', $line->text);
        }
    }

    public function testTwoWhoHaveTheSameDraftOpenDoNotWriteOverEachOther(): void
    {
        $report = $this->draft();
        $seen = $this->browser->getCrawler()->filter('input[name=_seen]')->attr('value');
        $this->change($report, ['do' => 'view', 'heading' => 'asked', 'text' => 'First.']);
        $this->post($this->at($report), [
            '_seen' => $seen,
            'do' => 'view',
            'heading' => 'asked',
            'text' => 'Second.',
        ]);
        $this->assertStatus(422);
        self::assertStringContainsString('Somebody has changed this draft', $this->shown());
        self::assertStringContainsString('value="Second."', $this->shown(), 'nothing typed is lost');
    }

    public function testAWordThatTheMeasuresDoNotCarryIsRefusedAndKeptInItsField(): void
    {
        $this->measured('-20 days', 20.0);
        $this->measured('now', 22.0);
        $report = $this->draft();
        foreach (
            [
                'The wrist improved.' => 'No measure of this time is better',
                'She was non-compliant.' => 'blames somebody',
                'She will recover.' => 'what nobody can know',
                'She is at 60 % of normal.' => 'no percent of recovery',
            ] as $text => $why
        ) {
            $this->change($report, ['do' => 'view', 'heading' => 'asked', 'text' => $text], refused: true);
            self::assertStringContainsString($why, $this->shown());
            self::assertStringContainsString('value="'.$text.'"', $this->shown());
        }
        $this->change($report, ['do' => 'sign', 'text' => 'Not added yet'], refused: true);
        self::assertStringContainsString('are not in it yet', $this->shown());

        $this->measured('now', 40.0);
        $this->touch();
        $this->change($report, ['do' => 'view', 'heading' => 'asked', 'text' => 'The wrist improved.']);
        self::assertStringContainsString('therapist’s view', $this->shown());
    }

    public function testALineShowsWhoMeasuredAndHow(): void
    {
        $this->measured('-20 days', 20.0);
        $this->measured('now', 40.0);
        $report = $this->draft();
        foreach (ReportFormat::read($report) as $nth => $line) {
            if (Heading::Measures === $line->heading && 2 === \count($line->facts)) {
                $this->browser->request('GET', $this->at($report).'/lines/'.$nth);
                self::assertStringContainsString('by Sefa Ouland; seated at the table', $this->shown());

                return;
            }
        }
        self::fail('nothing was measured twice');
    }

    public function testItGoesOutAsTextAndOnPaperAndToWhomIsKept(): void
    {
        foreach (ReportKind::cases() as $kind) {
            $report = $this->draft($kind);
            $this->change($report, ['do' => 'given', 'to' => 'The practice of the doctor'], refused: true);
            self::assertStringContainsString('Only what is signed goes out.', $this->shown());
            $report = $this->signed($kind);
            $this->change($report, ['do' => 'given', 'to' => 'The practice of the doctor']);
            self::assertStringContainsString('The practice of the doctor', $this->shown());

            $this->browser->request('GET', $this->at($report).'/report.md');
            self::assertStringStartsWith('# ', $this->page());
            self::assertSame(\count($kind->headings()), preg_match_all('/^## (?!Drawn)/m', $this->page()));
            self::assertStringContainsString('Seal '.substr($report->seal, 0, 16), $this->page());
            $this->browser->request('GET', $this->at($report).'/report.pdf');
            self::assertStringStartsWith('%PDF', $this->page());
            self::assertStringContainsString('AtkinsonHyperlegible', $this->page(), 'the shipped typeface');
        }
    }
}
