<?php

declare(strict_types=1);

namespace HandGarden\Tests\App;

use HandGarden\Account\Staff;
use HandGarden\Client\Client;
use HandGarden\Core\Report\ReadingGrade;
use HandGarden\Core\Report\ReportKind;
use HandGarden\Reporting\Line;
use HandGarden\Reporting\Report;
use HandGarden\Reporting\ReportFormat;
use HandGarden\Reporting\ReportPage;

/** Reports of lives as they are lived, each line of them held against the tables. */
final class DemoReportsTest extends DemoTestCase
{
    private const UNFIT = '/improv|recover|complian|refus|percent|expected to|will be able|prognos/i';

    public function testEveryReferenceOfEveryLineOfEveryReportOfAllSevenIsFoundInTheData(): void
    {
        $this->load();
        $lead = $this->entities->getRepository(Staff::class)->findOneBy(
            ['email' => 'maren@quayside.example'],
        );
        self::assertNotNull($lead);
        $this->signIn($lead);
        $lines = 0;
        $clients = $this->entities->getRepository(Client::class)->findAll();
        self::assertCount(7, $clients);
        foreach ($clients as $client) {
            foreach (ReportKind::cases() as $kind) {
                $report = $this->draft($client, $kind);
                $facts = new KeptFacts($this->entities, $client);
                $found = ReportFormat::read($report);
                foreach ($found as $line) {
                    $facts->assertCarry($line);
                    self::assertDoesNotMatchRegularExpression(self::UNFIT, $line->text);
                    self::assertDoesNotMatchRegularExpression(
                        '/\{\w+\}|\b(report|letter|discharge|judgement)\.\w/',
                        $line->text,
                    );
                    ++$lines;
                }
                if (ReportKind::Letter === $kind) {
                    self::assertPlain($found, $client->name());
                }
            }
        }
        self::assertGreaterThan(400, $lines);
    }

    /** @param list<Line> $lines */
    private static function assertPlain(array $lines, string $whose): void
    {
        $words = implode("\n", array_map(static fn (Line $l): string => $l->text, $lines));
        self::assertLessThanOrEqual(ReportPage::GRADE, ReadingGrade::of($words), $whose);
        self::assertDoesNotMatchRegularExpression('/°|%|\d\+|\bgrade\b|\b(MCP|PIP|DIP)\b/', $words, $whose);
        foreach ($lines as $line) {
            $grade = ReadingGrade::of($line->text);
            self::assertLessThanOrEqual(8.0, $grade, $line->text);
        }
    }

    private function draft(Client $client, ReportKind $kind): Report
    {
        $this->post('/clients/'.$client->id.'/reports', [
            'kind' => $kind->value,
            'from' => (new \DateTimeImmutable('-60 days'))->format('Y-m-d'),
            'until' => (new \DateTimeImmutable('today'))->format('Y-m-d'),
        ]);
        $this->browser->followRedirect();
        self::assertResponseIsSuccessful($client->name().' '.$kind->value);

        return $this->entities->getRepository(Report::class)->findBy(
            ['clientId' => $client->id],
            ['id' => 'DESC'],
            1,
        )[0] ?? self::fail($this->shown());
    }
}
