<?php

declare(strict_types=1);

namespace HandGarden\Tests\App;

use HandGarden\Account\Clinic;
use HandGarden\Account\Staff;
use HandGarden\Client\Client;
use Symfony\Component\HttpFoundation\File\UploadedFile;

/** A therapist is signed in and the stroke client is there, measured and screened. */
abstract class OdalysTestCase extends GardenTestCase
{
    protected Staff $therapist;

    protected Client $odalys;

    /** The clinic of the client, for a second person to sign in. */
    protected function quayside(): Clinic
    {
        $clinic = $this->entities->find(Clinic::class, $this->odalys->clinicId);
        self::assertNotNull($clinic);

        return $clinic;
    }

    protected function setUp(): void
    {
        parent::setUp();
        $clinic = $this->clinic();
        $this->therapist = $this->staff($clinic);
        $this->odalys = $this->client($clinic, $this->therapist);
        $this->signIn($this->therapist);
    }

    /** Hands in a calendar file for the week of the client. */
    protected function handInCalendar(string $text): void
    {
        $token = $this->token();
        $file = tempnam(sys_get_temp_dir(), 'ics');
        self::assertNotFalse($file);
        file_put_contents($file, $text);
        $this->browser->request(
            'POST',
            '/clients/'.$this->odalys->id.'/week',
            ['_token' => $token, 'helper_hours' => ''],
            ['calendar' => new UploadedFile($file, 'mine.ics', 'text/calendar', null, test: true)],
        );
    }
}
