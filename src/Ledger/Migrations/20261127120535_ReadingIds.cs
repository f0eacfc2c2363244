using System;
using Microsoft.EntityFrameworkCore.Migrations;

#nullable disable

namespace Ledger.Migrations
{
    /// <inheritdoc />
    public partial class ReadingIds : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.AddColumn<Guid>(name: "ReadingId", table: "Climate", type: "TEXT", nullable: true);

            migrationBuilder.CreateIndex(
                name: "IX_Climate_ReadingId",
                table: "Climate",
                column: "ReadingId",
                unique: true
            );
        }

        /// <inheritdoc />
        protected override void Down(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.DropIndex(name: "IX_Climate_ReadingId", table: "Climate");

            migrationBuilder.DropColumn(name: "ReadingId", table: "Climate");
        }
    }
}
