using System;
using Microsoft.EntityFrameworkCore.Migrations;

#nullable disable

namespace Ledger.Migrations
{
    /// <inheritdoc />
    public partial class WholeRoom : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.AddColumn<string>(
                name: "Glance",
                table: "Standings",
                type: "TEXT",
                nullable: false,
                defaultValue: ""
            );

            migrationBuilder.AddColumn<string>(name: "CalendarToken", table: "Rooms", type: "TEXT", nullable: true);

            migrationBuilder.AddColumn<int>(
                name: "JudgedDay",
                table: "Rooms",
                type: "INTEGER",
                nullable: false,
                defaultValue: 0
            );

            migrationBuilder.AddColumn<string>(name: "Layout", table: "Rooms", type: "TEXT", nullable: true);

            migrationBuilder.AddColumn<long>(
                name: "LayoutVersion",
                table: "Rooms",
                type: "INTEGER",
                nullable: false,
                defaultValue: 0L
            );

            migrationBuilder.CreateTable(
                name: "Chores",
                columns: table => new
                {
                    Sequence = table
                        .Column<long>(type: "INTEGER", nullable: false)
                        .Annotation("Sqlite:Autoincrement", true),
                    Id = table.Column<Guid>(type: "TEXT", nullable: false),
                    AtTicks = table.Column<long>(type: "INTEGER", nullable: false),
                    WrittenTicks = table.Column<long>(type: "INTEGER", nullable: false),
                    WrittenBy = table.Column<string>(type: "TEXT", nullable: false),
                    Act = table.Column<string>(type: "TEXT", nullable: false),
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_Chores", x => x.Sequence);
                }
            );

            migrationBuilder.CreateTable(
                name: "People",
                columns: table => new
                {
                    Id = table.Column<Guid>(type: "TEXT", nullable: false),
                    Name = table.Column<string>(type: "TEXT", nullable: false),
                    IsOwner = table.Column<bool>(type: "INTEGER", nullable: false),
                    PasswordHash = table.Column<string>(type: "TEXT", nullable: false),
                    AddedTicks = table.Column<long>(type: "INTEGER", nullable: false),
                    RemovedTicks = table.Column<long>(type: "INTEGER", nullable: true),
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_People", x => x.Id);
                }
            );

            migrationBuilder.CreateTable(
                name: "Sessions",
                columns: table => new
                {
                    Id = table.Column<Guid>(type: "TEXT", nullable: false),
                    PersonId = table.Column<Guid>(type: "TEXT", nullable: false),
                    MadeTicks = table.Column<long>(type: "INTEGER", nullable: false),
                    SeenTicks = table.Column<long>(type: "INTEGER", nullable: false),
                    From = table.Column<string>(type: "TEXT", nullable: false),
                    Browser = table.Column<string>(type: "TEXT", nullable: false),
                    EndedTicks = table.Column<long>(type: "INTEGER", nullable: true),
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_Sessions", x => x.Id);
                }
            );

            migrationBuilder.CreateTable(
                name: "SitterLinks",
                columns: table => new
                {
                    Id = table.Column<Guid>(type: "TEXT", nullable: false),
                    Name = table.Column<string>(type: "TEXT", nullable: false),
                    TokenHash = table.Column<string>(type: "TEXT", nullable: false),
                    FromDay = table.Column<int>(type: "INTEGER", nullable: false),
                    ToDay = table.Column<int>(type: "INTEGER", nullable: false),
                    TwoPeople = table.Column<bool>(type: "INTEGER", nullable: false),
                    Contacts = table.Column<string>(type: "TEXT", nullable: false),
                    Note = table.Column<string>(type: "TEXT", nullable: false),
                    MadeTicks = table.Column<long>(type: "INTEGER", nullable: false),
                    EndedTicks = table.Column<long>(type: "INTEGER", nullable: true),
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_SitterLinks", x => x.Id);
                }
            );

            migrationBuilder.CreateIndex(
                name: "IX_Standings_Here_Hushed",
                table: "Standings",
                columns: new[] { "Here", "Hushed" }
            );

            migrationBuilder.CreateIndex(name: "IX_Chores_Id", table: "Chores", column: "Id", unique: true);

            migrationBuilder.CreateIndex(name: "IX_People_Name", table: "People", column: "Name");

            migrationBuilder.CreateIndex(name: "IX_Sessions_PersonId", table: "Sessions", column: "PersonId");

            migrationBuilder.CreateIndex(
                name: "IX_SitterLinks_TokenHash",
                table: "SitterLinks",
                column: "TokenHash",
                unique: true
            );

            migrationBuilder.Sql(
                "CREATE TRIGGER Chores_is_never_changed BEFORE UPDATE ON Chores BEGIN SELECT RAISE(ABORT, 'The journal is append-only.'); END;"
            );
            migrationBuilder.Sql(
                "CREATE TRIGGER Chores_is_never_removed BEFORE DELETE ON Chores BEGIN SELECT RAISE(ABORT, 'The journal is append-only.'); END;"
            );
        }

        /// <inheritdoc />
        protected override void Down(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.DropTable(name: "Chores");

            migrationBuilder.DropTable(name: "People");

            migrationBuilder.DropTable(name: "Sessions");

            migrationBuilder.DropTable(name: "SitterLinks");

            migrationBuilder.DropIndex(name: "IX_Standings_Here_Hushed", table: "Standings");

            migrationBuilder.DropColumn(name: "Glance", table: "Standings");

            migrationBuilder.DropColumn(name: "CalendarToken", table: "Rooms");

            migrationBuilder.DropColumn(name: "JudgedDay", table: "Rooms");

            migrationBuilder.DropColumn(name: "Layout", table: "Rooms");

            migrationBuilder.DropColumn(name: "LayoutVersion", table: "Rooms");
        }
    }
}
