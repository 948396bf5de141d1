import { IsEmail, IsOptional, MaxLength } from 'class-validator';

/** Where something is to be mailed; left out, its link is handed over. */
export class MailTo {
  @IsOptional()
  @IsEmail({}, { message: 'an e-mail address' })
  @MaxLength(200, { message: 'at most 200 characters' })
  mailTo?: string;
}
