<?php

declare(strict_types=1);

namespace HandGarden\Office;

use HandGarden\Account\Role;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\Validator\Constraints as Assert;

/** Somebody who is to work here, as they were typed. */
final class InviteInput
{
    #[Assert\NotBlank(message: 'A name is needed.')]
    #[Assert\Length(max: 120, maxMessage: 'At most 120 characters.')]
    public string $name = '';

    #[Assert\NotBlank(message: 'An e-mail is needed: they sign in with it.')]
    #[Assert\Email(message: 'This is not an e-mail address.')]
    #[Assert\Length(max: 180, maxMessage: 'At most 180 characters.')]
    public string $email = '';

    public Role $role = Role::Therapist;

    public static function from(Request $request): self
    {
        $input = new self();
        $input->name = trim($request->request->getString('name'));
        $input->email = mb_strtolower(trim($request->request->getString('email')));
        $input->role = Role::tryFrom($request->request->getString('role')) ?? Role::Therapist;

        return $input;
    }
}
