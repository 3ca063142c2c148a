<?php

declare(strict_types=1);

namespace HandGarden\Tests\App;

use HandGarden\Client\HelperKind;
use HandGarden\Core\Actor\ActorKind;
use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Helping\Managing;
use HandGarden\Core\Home\ConsentKind;
use HandGarden\Core\Home\MessageAbout;
use HandGarden\Core\Report\ReadingGrade;
use HandGarden\Core\Report\ReportKind;
use HandGarden\Core\Sitting\AlertKind;
use HandGarden\Home\HelperWord;
use HandGarden\Home\Message;
use HandGarden\Planning\SignOff;
use HandGarden\Sitting\Alert;
use Symfony\Component\Uid\Uuid;

/** What goes to the client: a letter in plain words, and the plan that stays; and what stands in no report. */
final class LetterTest extends ReportTestCase
{
    public function testALetterTellsNothingThatWasNotTalkedAboutAndIsReadAtHome(): void
    {
        $this->measured('-20 days', 20.0);
        $this->measured('now', 40.0);
        $alert = $this->alert();
        $letter = $this->draft(ReportKind::Letter);
        $all = ['read' => range(0, \count($letter->lines) - 1)];
        $this->change($letter, ['do' => 'sign', 'talked' => '1'] + $all, refused: true);
        self::assertStringContainsString('has not been answered yet', $this->shown());
        $alert = $this->entities->find(Alert::class, $alert->id) ?? self::fail();
        $alert->answeredAt = new \DateTimeImmutable();
        $this->entities->flush();
        $this->change($letter, ['do' => 'sign'] + $all, refused: true);
        self::assertStringContainsString('Tick that you have talked', $this->shown());
        $this->change($letter, ['do' => 'sign', 'talked' => '1'] + $all);
        $words = self::words($this->reread($letter));
        self::assertDoesNotMatchRegularExpression('/°|%|grade|\bMCP\b|\bPIP\b/i', $words);
        self::assertStringContainsString('clearly better than ', $words);
        self::assertLessThan(6.0, ReadingGrade::of($words));

        $this->letIn();
        self::assertNull($this->day()['letter'], 'it is at home when somebody has put it there');
        $this->signIn($this->therapist());
        $this->change($this->signed(ReportKind::Review), ['do' => 'home'], refused: true);
        self::assertStringContainsString('Only a letter is shown at home.', $this->shown());
        $this->change($letter, ['do' => 'home']);
        self::assertStringContainsString('clearly better than ', $this->letterAtHome());

        $this->signIn($this->therapist());
        $this->change($letter, ['do' => 'unhome']);
        self::assertNull($this->day()['letter']);
        $this->signIn($this->therapist());
        $this->change($letter, ['do' => 'home']);
        $this->agree(ConsentKind::HelperSees);
        $this->letIn($this->sister());
        self::assertStringContainsString('clearly better than ', $this->letterAtHome());
        $worker = $this->sister('Worker');
        $worker->kind = HelperKind::CareWorker;
        $this->entities->flush();
        $this->letIn($worker);
        self::assertNull($this->day()['letter'], 'it is none of a care worker’s business');
    }

    public function testADischargeTakesThePlanAlongAndFreezesItsPictures(): void
    {
        $sister = $this->sister('Zebulon');
        $this->keep(new SignOff(
            $this->odalys->clinicId,
            $this->odalys->id,
            $sister->id,
            'wrist-ease-back',
            side: Side::Right,
            until: new \DateTimeImmutable('2027-01-19'),
            byStaffId: $this->therapist->id,
            at: new \DateTimeImmutable(),
        ));
        $report = $this->signed(ReportKind::Discharge);
        $words = self::words($report);
        self::assertStringContainsString('Zebulon may do this with the hands until 19 Jan', $words);
        self::assertStringContainsString('Monday', $words);
        self::assertStringContainsString('555 0101', $words);
        $sheets = $report->sheets();
        self::assertStringContainsString('data:image', $sheets);

        $this->entities->getConnection()->executeStatement('DELETE FROM routine');
        $this->touch();
        $this->browser->request('GET', $this->at($report));
        self::assertStringContainsString('Changed since it was signed', $this->shown());
        self::assertSame($sheets, $this->reread($report)->sheets());
        self::assertTrue($this->reread($report)->isWhole());
    }

    public function testBurdenMessagesAndNamesStayOut(): void
    {
        $sister = $this->sister('Zebulon');
        $now = new \DateTimeImmutable();
        $this->keep(new HelperWord(
            Uuid::v7()->toRfc4122(),
            $this->odalys->clinicId,
            $this->odalys->id,
            $sister->id,
            managing: Managing::TooMuch,
            hurts: true,
            hurtsWhere: 'the small of the back',
            at: $now,
        ));
        $this->letIn();
        $this->keep(new Message(
            Uuid::v7()->toRfc4122(),
            $this->odalys->clinicId,
            $this->odalys->id,
            $this->devices()[0]->id,
            person: ActorKind::Client,
            about: MessageAbout::Other,
            text: 'Gin helps best.',
            at: $now,
            receivedAt: $now,
        ));
        $this->alert();
        foreach (ReportKind::cases() as $kind) {
            $report = $this->draft($kind);
            $this->browser->request('GET', $this->at($report).'/report.md');
            self::assertDoesNotMatchRegularExpression(
                '/Zebulon|too much|small of the back|\bGin\b|alcohol/i',
                $this->page(),
            );
        }
    }

    private function letterAtHome(): string
    {
        return json_encode($this->day()['letter'], \JSON_THROW_ON_ERROR | \JSON_UNESCAPED_UNICODE);
    }

    private function alert(): Alert
    {
        $at = new \DateTimeImmutable('-5 days');

        return $this->keep(new Alert(
            $this->odalys->clinicId,
            $this->odalys->id,
            AlertKind::Part,
            'helped-lift-hold|right',
            why: 'Pain of 8.',
            begunAt: $at,
            receivedAt: $at,
            ownerId: $this->therapist->id,
        ));
    }
}
