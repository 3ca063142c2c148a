<?php

declare(strict_types=1);

namespace HandGarden\Tests\App;

use HandGarden\Account\Clinic;
use HandGarden\Account\Staff;
use HandGarden\Client\Client;

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
}
