<?php

declare(strict_types=1);

namespace HandGarden\Office;

use HandGarden\Account\ClinicRepository;
use HandGarden\Account\Notices;
use HandGarden\Account\Proof\AccountCodes;
use HandGarden\Account\Proof\CodeKind;
use HandGarden\Account\Staff;
use HandGarden\Account\Who;
use Symfony\Component\Routing\Generator\UrlGeneratorInterface;

/** The link by which somebody who was invited chooses a password. */
final readonly class Invitations
{
    public function __construct(
        private AccountCodes $codes,
        private Notices $notices,
        private ClinicRepository $clinics,
        private Who $who,
        private UrlGeneratorInterface $addresses,
        private string $publicUrl,
    ) {
    }

    /** Makes it, sends it where mail is set up, and gives it to be handed over; an earlier one opens nothing more. */
    public function link(Staff $staff): string
    {
        $link = $this->address($this->codes->make($staff, CodeKind::Invite, $this->who->staff()->id));
        $this->notices->send($staff, 'invited', [
            'by' => $this->who->staff()->name,
            'clinic' => $this->clinics->own()->name,
            'link' => $link,
        ]);

        return $link;
    }

    public function address(string $code): string
    {
        $path = $this->addresses->generate('account_join', ['code' => $code]);

        return '' === $this->publicUrl
            ? $this->addresses->generate(
                'account_join',
                ['code' => $code],
                UrlGeneratorInterface::ABSOLUTE_URL,
            )
            : rtrim($this->publicUrl, '/').$path;
    }
}
